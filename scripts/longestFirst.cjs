const { statSync } = require('node:fs');

/** Files of tests that take longest, in their order: the last of a run must not be a long one by itself. */
const LONGEST = [
  'e2e/walker',
  'e2e/access',
  'e2e/fuzz',
  'e2e/closing',
  'e2e/server',
  'e2e/bench',
  'e2e/postgres',
  'e2e/offline',
  'handover/handover',
  'e2e/figures',
  'e2e/accounts',
  'e2e/units',
  'e2e/backup',
  'e2e/projectFile',
  'e2e/watch',
  'e2e/storage',
  'embedded/powerCut',
  'standin/src/proof',
  'exchange/exchange',
  'standin/src/regimes',
];

const placeOf = ({ path }) => {
  const place = LONGEST.findIndex((name) => path.endsWith(`${name}.test.ts`));
  return place < 0 ? LONGEST.length : place;
};

/** Runs the longest files first, on a machine too that has not run them before. */
module.exports = class LongestFirst {
  sort(tests) {
    return [...tests].sort(
      (a, b) => placeOf(a) - placeOf(b) || statSync(b.path).size - statSync(a.path).size,
    );
  }

  allFailedTests(tests) {
    return tests;
  }

  shard(tests) {
    return tests;
  }

  cacheResults() {}
};
