import {
  ROOT,
  build,
  installChromium,
  installOpenssl,
  installPackages,
  installPostgres,
  npx,
  run,
} from './setup.mjs';

// PGlite and Puppeteer are loaded as ES modules, which Jest runs under this flag only.
const MODULES = '--experimental-vm-modules --no-warnings';

/** `npm test` runs all steps; `npm test -- unit e2e` runs those named. */
const STEPS = {
  types: () => run('npm', ['run', '--silent', 'types']),
  lint: () => run('npm', ['run', '--silent', 'lint']),
  arrows: () => run('npm', ['run', '--silent', 'arrows']),
  unused: () => run('npm', ['run', '--silent', 'unused']),
  unit: () =>
    jest(['core', 'text', 'client', 'standin', 'demo', 'web'], '', [
      '--maxWorkers=2',
      '--testTimeout=60000',
    ]),
  // On the embedded database, and on PostgreSQL with two servers that answer in turn. Each file has a database of
  // its own; one of them takes minutes, beside which the others run.
  api: () => jest(['server', 'postgres'], MODULES, ['--maxWorkers=2', '--testTimeout=120000']),
  e2e: () => {
    build();
    // A page and its server take both cores of a small machine: stories beside each other would wait for one another.
    jest(['e2e'], MODULES);
  },
};

/** A busy machine takes a while to open a database: a test is given up after a minute, or as `more` says. */
function jest(projects, flags = '', more = ['--testTimeout=60000']) {
  npx(['jest', '--selectProjects', ...projects, '--passWithNoTests=false', ...more], {
    cwd: ROOT,
    env: { NODE_OPTIONS: flags, CHROMIUM: chromium, POSTGRES_BIN: postgres },
  });
}

const wanted = process.argv.slice(2);
const unknown = wanted.filter((step) => !STEPS[step]);
if (unknown.length > 0) {
  console.error(`There is no step ${unknown.join(', ')}: ${Object.keys(STEPS).join(', ')}.`);
  process.exit(2);
}
installPackages();
const steps = wanted.length > 0 ? wanted : Object.keys(STEPS);
const chromium = steps.includes('e2e') ? installChromium() : '';
if (steps.includes('e2e')) installOpenssl();
const postgres = steps.some((step) => step === 'e2e' || step === 'api') ? installPostgres() : '';
for (const step of steps) {
  console.log(`\n== ${step} ==`);
  STEPS[step]();
}
console.log(`\nAll passed: ${steps.join(', ')}.`);
