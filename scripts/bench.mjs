import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { ROOT, build, installChromium, installPackages, installPostgres } from './setup.mjs';

/**
 * One line a figure: name, ratio, limit, ok or MISS; names given on the command line are run alone. Each group is a process
 * of its own, so that one that fails hides no figures of others. `--long` measures with the full counts.
 */
const GROUPS = [
  { file: 'apps/server/bench/commands.ts', names: ['command-start'] },
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
    names: ['crowd-embedded', 'crowd-embedded-lost', 'streams', 'long-work', 'long-work-answers'],
    page: true,
    postgres: true,
  },
  {
    file: 'e2e/server.bench.ts',
    names: ['kill-embedded', 'restart-embedded'],
    page: true,
    postgres: true,
  },
  {
    file: 'e2e/server.bench.ts',
    names: ['crowd-postgres', 'crowd-postgres-lost'],
    page: true,
    postgres: true,
  },
  {
    file: 'e2e/server.bench.ts',
    names: ['kill-postgres', 'restart-postgres'],
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
    long: true,
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

/** The exit code of a group in which a figure is over its limit. */
const MISSED = 3;
const FIGURE = /^(\S.*?) {2}\S+ {2}limit .+? {2}(ok|MISS)\b/;

const args = process.argv.slice(2);
const isLong = args.includes('--long');
const wanted = args.filter((name) => name !== '--long');
const known = GROUPS.flatMap((group) => group.names);
const stranger = wanted.find((name) => !known.includes(name));
if (stranger) {
  console.error(`There is no figure “${stranger}”: ${known.join(', ')}.`);
  process.exit(2);
}
installPackages();

/** Runs figures of a group, and gives the names that hold, that are over their limit, and that are not there. */
async function measure({ file, page, postgres }, names) {
  const child = spawn('npx', ['--no-install', 'tsx', join(ROOT, file), ...names], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      CORDEL_LONG: isLong ? '1' : '',
      CHROMIUM: page ? installChromium() : '',
      POSTGRES_BIN: postgres ? installPostgres() : '',
    },
  });
  const ended = once(child, 'close');
  const found = { ok: [], MISS: [], absent: [] };
  for await (const line of createInterface({ input: child.stdout })) {
    console.log(line);
    const [, name, verdict] = FIGURE.exec(line) ?? [];
    if (verdict) found[verdict].push(name);
  }
  const [code] = await ended;
  const printed = [...found.ok, ...found.MISS];
  if (code !== 0 && code !== MISSED)
    found.absent = names.filter((name) => !printed.some((one) => one.startsWith(name)));
  return found;
}

const all = { ok: [], MISS: [], absent: [] };
const begun = Date.now();
for (const group of GROUPS) {
  const names = group.names.filter((name) =>
    wanted.length > 0 ? wanted.includes(name) : isLong || !group.long,
  );
  if (names.length === 0) continue;
  if (group.page) await build();
  const found = await measure(group, names);
  for (const verdict of Object.keys(all)) all[verdict].push(...found[verdict]);
}
const count = Object.values(all).flat().length;
const minutes = ((Date.now() - begun) / 60_000).toFixed(1);
const missing = [...all.MISS, ...all.absent.map((name) => `${name} (not measured)`)];
console.log(
  `${all.ok.length} of ${count} figures hold, in ${minutes} minutes${missing.length > 0 ? `. Not: ${missing.join(', ')}` : ''}.`,
);
process.exit(missing.length > 0 ? 1 : 0);
