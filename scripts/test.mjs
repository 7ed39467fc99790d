import { execFileSync } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import {
  ROOT,
  build,
  installChromium,
  installOpenssl,
  installPackages,
  installPostgres,
  npx,
  start,
} from './setup.mjs';

// PGlite and Puppeteer are loaded as ES modules, which Jest runs under this flag only.
const MODULES = '--experimental-vm-modules --no-warnings';

const BIN = join(ROOT, 'node_modules/.bin');

/** What is checked without running the product: each needs one core, so they run beside each other. */
const CHECKS = {
  format: ['prettier', '--check', '--cache', '.'],
  types: ['node', 'scripts/types.mjs'],
  lint: ['eslint', '--cache', '--cache-location', 'node_modules/.cache/eslint/', '.'],
  arrows: ['depcruise', 'apps', 'packages', 'e2e', '--config', '.dependency-cruiser.cjs'],
  unused: ['knip'],
};

/** Without the built server, a database on a disk and a page. */
const UNIT = ['core', 'text', 'client', 'standin', 'demo', 'web'];
const PATIENT = '--testTimeout=60000';

/** `npm test` runs all steps; `npm test -- unit e2e` runs those named. */
const STEPS = {
  unit: () => jest(UNIT, '', ['--maxWorkers=2', PATIENT]),
  // On the embedded database, on PostgreSQL with two servers that answer in turn, and the built server as a process. Each
  // file has a database of its own, so that they run beside each other.
  api: async () => {
    await build();
    jest(['server', 'postgres', 'built'], MODULES, ['--maxWorkers=2', '--testTimeout=120000']);
  },
  e2e: async () => {
    await build();
    jest(['e2e'], MODULES, ['--maxWorkers=2', PATIENT]);
  },
};

/** The unit tests of what was changed since the last commit, or by it where nothing was since. */
function quickTests() {
  const isClean = execFileSync('git', ['status', '--porcelain'], { cwd: ROOT }).length === 0;
  const changed = isClean ? '--lastCommit' : '--onlyChanged';
  jest(UNIT, '', ['--maxWorkers=2', PATIENT, changed, '--passWithNoTests']);
}
const QUICK_CHECKS = ['format', 'types', 'lint'];

/** A busy machine takes a while to open a database: a test is given up after a minute, or as `more` says. */
function jest(projects, flags = '', more = []) {
  const order = `--testSequencer=${join(ROOT, 'scripts/longestFirst.cjs')}`;
  npx(['jest', '--selectProjects', ...projects, order, ...more], {
    cwd: ROOT,
    env: { NODE_OPTIONS: flags, CHROMIUM: chromium, POSTGRES_BIN: postgres },
  });
}

/** Runs checks, as many at a time as the machine has cores, and stops with the first that fails. */
async function check(names) {
  const waiting = [...names];
  const running = new Set();
  const next = async () => {
    for (let name = waiting.shift(); name; name = waiting.shift()) {
      const [command, ...args] = CHECKS[name];
      const begun = Date.now();
      // Not by npx, whose own child would go on after it is stopped.
      const program = command === 'node' ? process.execPath : join(BIN, command);
      const { child, ended } = start(program, args);
      running.add(child);
      const { code, output } = await ended;
      running.delete(child);
      console.log(`== ${name}: ${Math.round((Date.now() - begun) / 1000)} s ==`);
      if (code === 0) continue;
      console.error(output);
      for (const other of running) other.kill();
      process.exit(1);
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, next));
}

const all = [...Object.keys(CHECKS), ...Object.keys(STEPS)];
const known = [...all, 'quick'];
const wanted = process.argv.slice(2);
const unknown = wanted.filter((step) => !known.includes(step));
if (unknown.length > 0) {
  console.error(`There is no step ${unknown.join(', ')}: ${known.join(', ')}.`);
  process.exit(2);
}
installPackages();
const isQuick = wanted.includes('quick');
const steps = wanted.length > 0 ? [...wanted, ...(isQuick ? QUICK_CHECKS : [])] : all;
const chromium = steps.includes('e2e') ? installChromium() : '';
const isServed = steps.includes('e2e') || steps.includes('api');
if (isServed) installOpenssl();
const postgres = isServed ? installPostgres() : '';
await check(Object.keys(CHECKS).filter((name) => steps.includes(name)));
if (isQuick) quickTests();
for (const step of Object.keys(STEPS).filter((name) => steps.includes(name))) {
  console.log(`\n== ${step} ==`);
  const begun = Date.now();
  await STEPS[step]();
  console.log(`== ${step}: ${Math.round((Date.now() - begun) / 1000)} s ==`);
}
console.log(`\nAll passed: ${[...new Set(steps)].join(', ')}.`);
