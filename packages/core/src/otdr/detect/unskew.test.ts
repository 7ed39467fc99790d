import { linearRegression, mean, standardDeviation } from 'simple-statistics';
import { noiseAlong } from './noise.ts';
import { normalFrom } from './normal.testing.ts';
import { unskewed } from './unskew.ts';

const LENGTH = 24_000;
const SLOPE = 0.0002;
const START_DB = -10;

/** A straight fiber, and what a receiver makes of its power: noise is added to it, and what is below nothing is stored as such. */
function fiber(noiseDb: number, seed: number, stepDb = 0, at = LENGTH) {
  const normal = normalFrom(seed);
  const truth = Float64Array.from(
    { length: LENGTH },
    (_, place) => START_DB - SLOPE * place - (place >= at ? stepDb : 0),
  );
  const deviation = ((noiseDb * Math.LN10) / 5) * 10 ** (START_DB / 5);
  const levels = Float32Array.from(truth, (level) =>
    Math.max(-60, 5 * Math.log10(Math.max(1e-12, 10 ** (level / 5) + deviation * normal()))),
  );
  return { truth, levels };
}

const off = (levels: Float32Array, truth: Float64Array, from: number, to: number): number[] =>
  Array.from(levels.subarray(from, to), (level, index) => level - truth[from + index]!);

describe('levels deep in noise', () => {
  // Light falls by 4.8 dB, and single samples scatter by 0.08 dB at first and 0.7 dB at last.
  const { truth, levels } = fiber(0.08, 5);
  const noise = noiseAlong(levels);
  const corrected = unskewed(levels, noise, 1, 1, 0, LENGTH);

  it('lie below the light in the mean, by as much as the second order of a logarithm says', () => {
    const own = off(levels, truth, 22_000, 24_000);
    // E[5 log10(1 + x)] = -5 / ln(10) E[x²] / 2 and more for x of deviation s.
    const share = (0.08 * 10 ** ((SLOPE * 23_000) / 5) * Math.LN10) / 5;
    const second = ((5 / Math.LN10) * share ** 2) / 2;
    expect(mean(own)).toBeLessThan(-second);
  });

  it('lie on it once they are corrected, as far as noise lets anybody tell', () => {
    for (let from = 12_000; from < LENGTH; from += 3000) {
      const own = off(corrected.levels, truth, from, from + 3000);
      const biases = corrected.biases ?? new Float64Array(noise.bins.length);
      const added = mean(own.map((_, index) => biases[Math.floor((from + index) / 256)]!));
      const sure = standardDeviation(own) / Math.sqrt(own.length);
      expect(Math.abs(mean(own) + added)).toBeLessThan(3.5 * sure);
    }
  });

  it('make a straight fiber straight again', () => {
    const slopeOf = (list: Float32Array): number =>
      linearRegression(Array.from(list.subarray(19_000), (level, index) => [index, level])).m;
    const fibers = Array.from({ length: 8 }, (_, seed) => fiber(0.08, 20 + seed).levels);
    const raw = mean(fibers.map(slopeOf)) + SLOPE;
    const own =
      mean(
        fibers.map((list) => slopeOf(unskewed(list, noiseAlong(list), 1, 1, 0, LENGTH).levels)),
      ) + SLOPE;
    // 5000 samples of 0.6 dB tell a slope to 0.6 sqrt(12) / 5000^1.5, and eight times as many to a third of it.
    const sure = (0.6 * Math.sqrt(12)) / 5000 ** 1.5 / Math.sqrt(8);
    expect(raw).toBeLessThan(-3.5 * sure);
    expect(Math.abs(own)).toBeLessThan(3 * sure);
  });

  it('scatter as they are said to', () => {
    for (const from of [20_000, 22_000]) {
      const scatter = standardDeviation(off(corrected.levels, truth, from, from + 2000));
      expect(corrected.noise.at(from + 1000) / scatter).toBeGreaterThan(0.9);
      expect(corrected.noise.at(from + 1000) / scatter).toBeLessThan(1.1);
    }
  });

  it('keep a step as large as it is', () => {
    const step = 0.4;
    const sums = [6, 7, 8, 9].map((seed) => {
      const own = fiber(0.08, seed, step, 20_000);
      const { levels: list } = unskewed(own.levels, noiseAlong(own.levels), 1, 1, 0, LENGTH);
      const straight = (from: number, to: number) =>
        mean(Array.from(list.subarray(from, to), (level, index) => level + SLOPE * (from + index)));
      return straight(19_000, 19_900) - straight(20_100, 21_000);
    });
    // Means of 900 samples of 0.5 dB on either side, four times.
    expect(Math.abs(mean(sums) - step)).toBeLessThan((3.5 * 0.55 * Math.SQRT2) / Math.sqrt(3600));
  });

  it('are left as they are where there is little noise', () => {
    const calm = fiber(0.002, 3);
    const own = unskewed(calm.levels, noiseAlong(calm.levels), 1, 1, 0, LENGTH);
    expect(own.levels).toBe(calm.levels);
    expect(own.biases).toBeNull();
  });
});
