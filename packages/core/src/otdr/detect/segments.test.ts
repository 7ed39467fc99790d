import fc from 'fast-check';
import { linearRegression, linearRegressionLine } from 'simple-statistics';
import { noiseAlong } from './noise.ts';
import { Segments, levelAt, varianceAt } from './segments.ts';

const levels = fc.array(fc.double({ min: -40, max: 0, noNaN: true }), {
  minLength: 12,
  maxLength: 400,
});

describe('straight lines through segments of a trace', () => {
  // simple-statistics, a general-purpose library, is the judge.
  it('are those of least squares, wherever the part lies', () => {
    fc.assert(
      fc.property(levels, fc.integer({ min: 0, max: 6 }), (list, from) => {
        const trace = Float32Array.from(list);
        const segments = new Segments(trace, new Float32Array(list.length).fill(1));
        const points = [...trace].slice(from).map((level, at) => [at + from, level]);
        const judge = linearRegression(points);
        const line = segments.line(from, list.length);
        expect(line.slope).toBeCloseTo(judge.m, 4);
        expect(levelAt(line, list.length)).toBeCloseTo(linearRegressionLine(judge)(list.length), 2);
        const left = points.reduce(
          (sum, [at, level]) => sum + (level! - linearRegressionLine(judge)(at!)) ** 2,
          0,
        );
        expect(line.left).toBeCloseTo(left, 1);
      }),
    );
  });

  it('leave out what weighs nothing', () => {
    const trace = Float32Array.from({ length: 20 }, (_, at) => (at === 7 ? 99 : -at));
    const weights = new Float32Array(20).fill(1);
    weights[7] = 0;
    const line = new Segments(trace, weights).line(0, 20);
    expect(line.slope).toBeCloseTo(-1, 9);
    expect(line.left).toBeCloseTo(0, 6);
  });

  it('know how sure their end is: four times the variance of a mean, for n samples', () => {
    // For a line of n samples of unit variance, read at its end: 4/n nearly, as in the bound of a step.
    const n = 1000;
    const line = new Segments(new Float32Array(n), new Float32Array(n).fill(1)).line(0, n);
    expect(varianceAt(line, n) * n).toBeCloseTo(4, 1);
  });

  it('use a lent array as well as one of their own', () => {
    const trace = Float32Array.from({ length: 50 }, (_, at) => Math.sin(at));
    const weights = new Float32Array(50).fill(2);
    const lent = new Float64Array(Segments.roomFor(80)).fill(7);
    const own = new Segments(trace, weights).line(3, 44);
    expect(new Segments(trace, weights, lent).line(3, 44)).toEqual(own);
  });
});

describe('the noise along a trace', () => {
  it('is found under slope, steps and a peak', () => {
    let state = 7;
    const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const trace = Float32Array.from(
      { length: 8000 },
      (_, at) =>
        -0.0002 * at - (at > 3000 ? 0.3 : 0) + (at > 5000 && at < 5020 ? 12 : 0) + 0.02 * normal(),
    );
    const noise = noiseAlong(trace);
    for (const at of [100, 3000, 5010, 7900]) expect(noise.at(at)).toBeCloseTo(0.02, 2);
  });

  it('is never less than the rounding of the samples', () =>
    expect(noiseAlong(new Float32Array(1000)).at(500)).toBeGreaterThan(0));
});

describe('a bend of a line that is no step', () => {
  // 4000 samples on either side; attenuation that differs by 0.1 dB/km bends a line, and moves no level.
  const bent = (dbPerKm: number, step: number) =>
    Float32Array.from({ length: 8000 }, (_, at) =>
      at < 4000 ? -0.0002 * at : -0.8 - step - (0.0002 + dbPerKm / 1000) * (at - 4000),
    );
  const weights = new Float32Array(8000).fill(1 / 0.02 ** 2);
  const gainOf = (levels: Float32Array, slopeVariance?: number) =>
    new Segments(levels, weights, undefined, slopeVariance).stepGain(0, 4000, 2, 8000);

  it('gains all that two lines take away where slopes are free', () =>
    expect(gainOf(bent(0.01, 0))).toBeGreaterThan(100));

  it('gains as little as it is likely where they are alike', () => {
    // A difference of two thirds of its deviation costs nothing to speak of; four deviations cost 16.
    const usual = (0.015 / 1000) ** 2;
    expect(gainOf(bent(0.01, 0)) - gainOf(bent(0.01, 0), usual)).toBeLessThan(1);
    const odd = gainOf(bent(0.06, 0)) - gainOf(bent(0.06, 0), usual);
    expect(odd).toBeGreaterThan(14);
    expect(odd).toBeLessThan(16.1);
  });

  it('takes nothing from a step between lines of one slope', () =>
    expect(gainOf(bent(0, 0.05), 1e-10)).toBeCloseTo(gainOf(bent(0, 0.05)), 3));
});

describe('the best split', () => {
  it('is the one with the largest gain, however sparsely it is looked for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -300, max: 300 }), { minLength: 40, maxLength: 200 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 9 }),
        (list, gap, every) => {
          const levels = Float32Array.from(list, (value, at) => -0.01 * at + value / 1000);
          const segments = new Segments(levels, new Float32Array(list.length).fill(4));
          const [first, last] = [5, list.length - 5 - gap];
          const whole = segments.leftOver(0, list.length);
          const best = segments.bestSplit(0, list.length, gap, whole, first, last, every);
          const gains: number[] = [];
          for (let at = first; at <= last; at += every)
            gains.push(segments.gain(0, at, gap, list.length, whole));
          expect((best.at - first) % every).toBe(0);
          expect(best.gain).toBeCloseTo(Math.max(...gains), 6);
        },
      ),
    );
  });

  it('of a range with no place in it is none', () => {
    const segments = new Segments(new Float32Array(30), new Float32Array(30).fill(1));
    expect(segments.bestSplit(0, 30, 4, 0, 20, 10, 1).gain).toBe(-Infinity);
  });
});
