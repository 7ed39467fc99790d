import { build, installChromium, installPackages, installPostgres, npx } from './setup.mjs';

/**
 * The random tests with their full counts, by seeds that differ from day to day: a failure prints its seed, and the
 * settings that repeat it. `npm run test:long -- walker` runs one.
 */
const SEED = String(Date.now() % 1e8);
const LONG = {
  properties: ['core', '', { CORDEL_SEED: SEED, CORDEL_RUNS: '10' }],
  regimes: ['standin', 'regimes', { CORDEL_TRACES: '60' }],
  power: ['server', 'db/embedded/powerCut', { CORDEL_POWER_CUTS: '60' }],
  networks: ['server', 'networks', { CORDEL_NETWORKS: '200' }],
  figures: ['e2e', 'figures', { CORDEL_NETWORKS: '40' }],
  fuzz: ['built', 'fuzz', { CORDEL_FUZZ_COUNT: '40000', CORDEL_FUZZ_SEED: SEED }],
  walker: ['e2e', 'walker', { CORDEL_WALK: 'kinds' }],
};

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !LONG[name]);
if (unknown.length > 0) {
  console.error(`There is no ${unknown.join(', ')}: ${Object.keys(LONG).join(', ')}.`);
  process.exit(2);
}
installPackages();
const base = {
  CHROMIUM: installChromium(),
  POSTGRES_BIN: installPostgres(),
  NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
};
await build();
for (const [name, [project, file, env]] of Object.entries(LONG)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`\n== ${name}: ${JSON.stringify(env)} ==`);
  const path = `${file}.test.ts$`;
  npx(['jest', '--forceExit', '--selectProjects', project, '--testPathPattern', path], {
    env: { ...base, ...env },
  });
}
