import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, build, installChromium, installPackages, installPostgres } from './setup.mjs';

// One line a figure: name, ratio, limit, ok or MISS. Names given on the command line are run alone.
const GROUPS = [
  {
    file: 'packages/core/bench/main.ts',
    names: ['plan-lines', 'tray-layout', 'tray-bound', 'circuits', 'branches'],
  },
  { file: 'packages/client/bench/main.ts', names: ['waiting-commands'] },
  {
    file: 'packages/standin/bench/main.ts',
    names: [
      'advice-single',
      'advice-ribbon',
      'shift-model',
      'charts',
      'trace-speed',
      'trace-batch',
      'joint-loss',
      'trace-regimes',
      'trace-causes',
      'leak',
    ],
  },
  {
    file: 'apps/server/bench/main.ts',
    names: [
      'route-summary',
      'ledger-trays',
      'ledger-fibers',
      'closure-ledger',
      'record-attempt',
      'record-synced',
      'import-rows',
      'import-growth',
      'package',
      'package-memory',
      'package-record',
      'package-page',
    ],
  },
  {
    file: 'e2e/server.bench.ts',
    names: [
      'crowd-embedded',
      'crowd-embedded-lost',
      'streams',
      'long-work',
      'long-work-answers',
      'kill-embedded',
      'restart-embedded',
      'crowd-postgres',
      'crowd-postgres-lost',
      'kill-postgres',
      'restart-postgres',
    ],
    page: true,
    postgres: true,
  },
  {
    file: 'e2e/gigabyte.bench.ts',
    names: [
      'import-gigabyte-memory',
      'import-gigabyte-others',
      'export-gigabyte-memory',
      'export-gigabyte-others',
    ],
    page: true,
  },
  {
    file: 'e2e/firstView.bench.ts',
    names: ['first-view-bytes', 'first-view-time', 'second-view-time', 'worker-bytes'],
    page: true,
  },
  {
    file: 'e2e/field.bench.ts',
    names: [
      'signed-in-record',
      'cold-start',
      'come-together',
      'come-together-frames',
      'take-along',
    ],
    page: true,
  },
  { file: 'e2e/page.bench.ts', names: ['scroll-nodes'], page: true },
  {
    file: 'e2e/live.bench.ts',
    names: ['record-shown', 'change-shown', 'shift-frames'],
    page: true,
  },
  { file: 'e2e/traces.bench.ts', names: ['trace-frames'], page: true },
  { file: 'e2e/import.bench.ts', names: ['import-xlsx', 'import-csv'], page: true },
];

const wanted = process.argv.slice(2);
const known = GROUPS.flatMap((group) => group.names);
const stranger = wanted.find((name) => !known.includes(name));
if (stranger) {
  console.error(`There is no figure “${stranger}”: ${known.join(', ')}.`);
  process.exit(2);
}
installPackages();
let missed = false;
for (const { file, names, page, postgres } of GROUPS) {
  const asked = names.filter((name) => wanted.includes(name));
  if (wanted.length > 0 && asked.length === 0) continue;
  if (page) build();
  const env = {
    ...process.env,
    CHROMIUM: page ? installChromium() : '',
    POSTGRES_BIN: postgres ? installPostgres() : '',
  };
  const result = spawnSync('npx', ['--no-install', 'tsx', join(ROOT, file), ...asked], {
    cwd: ROOT,
    stdio: 'inherit',
    env,
  });
  missed ||= result.status !== 0;
}
process.exit(missed ? 1 : 0);
