/**
 * fast-check as the tests import it: every property runs from one seed, so that a run of the tests is the same as the
 * one before. `CORDEL_SEED` sets another, `CORDEL_RUNS` multiplies how many cases are drawn; a failure prints the command
 * that repeats it.
 */
// By its path: the name itself leads here.
const fc = require('../../../node_modules/fast-check/lib/cjs/fast-check.js');

const seed = Number(process.env.CORDEL_SEED ?? 1);
const times = Number(process.env.CORDEL_RUNS ?? 1);
const USUAL_RUNS = 100;

function toldHowToRepeat(error) {
  const { testPath = '' } = globalThis.expect?.getState() ?? {};
  const file = testPath.split('/').slice(-2).join('/');
  error.message += `\nRepeat it: CORDEL_SEED=${seed} CORDEL_RUNS=${times} npx jest ${file}`;
  return error;
}

function assert(property, settings = {}) {
  const numRuns = (settings.numRuns ?? USUAL_RUNS) * times;
  try {
    const result = fc.assert(property, { seed, ...settings, numRuns });
    // Of a property that waits, the failure comes later.
    return result?.catch((error) => Promise.reject(toldHowToRepeat(error)));
  } catch (error) {
    throw toldHowToRepeat(error);
  }
}

module.exports = { ...fc, __esModule: true, default: { ...fc.default, assert }, assert };
