import { median } from 'simple-statistics';
import { correlationOf } from './correlation.ts';
import { findEvents } from './findEvents.ts';
import { noiseAlong } from './noise.ts';
import { normalFrom } from './normal.testing.ts';

/** Noise of variance 1 of which each sample shares so much with the next: what a slow receiver leaves. */
function slowReceiver(length: number, shared: number, seed: number): number[] {
  const normal = normalFrom(seed);
  let last = normal();
  return Array.from({ length }, () => {
    last = shared * last + Math.sqrt(1 - shared ** 2) * normal();
    return last;
  });
}

/** Noise of variance 1 that an instrument has smoothed by a moving mean. */
function smoothed(length: number, width: number, seed: number): number[] {
  const normal = normalFrom(seed);
  const raw = Array.from({ length: length + width }, normal);
  return Array.from(
    { length },
    (_, at) => raw.slice(at, at + width).reduce((sum, one) => sum + one, 0) / Math.sqrt(width),
  );
}

const LENGTH = 30_000;
const END = 27_500;
const PULSE = 10;
const JOINTS = [0.06, 0.15, -0.08, 0.1, 0.2, 0.07].map((step, index) => ({
  at: 3000 + 4000 * index,
  step,
}));

/** A fiber with noise that is added to the light, as a receiver adds it. */
function traceWith(noise: readonly number[], noiseDb: number): Float32Array {
  return Float32Array.from(noise, (own, at) => {
    let light = 0;
    if (at < END) {
      let loss = 0.0002 * at;
      for (const joint of JOINTS)
        loss += joint.step * Math.min(1, Math.max(0, (at - joint.at) / PULSE));
      light = 10 ** (-loss / 5);
    }
    if (at >= END && at < END + PULSE) light = 3;
    light += (own * noiseDb * Math.LN10) / 5;
    return 5 * Math.log10(Math.max(light, 1e-9)) - 12;
  });
}

const REGIMES: [name: string, samples: number, noiseOf: (seed: number) => number[]][] = [
  ['independent', 1, (seed) => slowReceiver(LENGTH, 0, seed)],
  ['shared by 0.3', 1.3 / 0.7, (seed) => slowReceiver(LENGTH, 0.3, seed)],
  ['shared by 0.6', 1.6 / 0.4, (seed) => slowReceiver(LENGTH, 0.6, seed)],
  ['shared by 0.9', 19, (seed) => slowReceiver(LENGTH, 0.9, seed)],
  ['shared by 0.95', 39, (seed) => slowReceiver(LENGTH, 0.95, seed)],
  ['smoothed over 4', 4, (seed) => smoothed(LENGTH, 4, seed)],
  ['smoothed over 12', 12, (seed) => smoothed(LENGTH, 12, seed)],
];

const SEEDS = [11, 12, 13, 14];

// (1 + r) / (1 - r) and the width of a moving mean: Box and Jenkins, Time Series Analysis (from memory).
describe.each(REGIMES)('noise that is %s', (_, samples, noiseOf) => {
  const noiseDb = 0.004 / Math.sqrt(samples);
  const traces = SEEDS.map((seed) => traceWith(noiseOf(seed), noiseDb));

  it('is known for what it is', () => {
    // Against the light that is left, 1 dB along the fiber and 0.06 dB at the first joint.
    const noiseAt5000 = noiseDb * 10 ** (1.06 / 5);
    const found = traces.map((trace) => {
      const noise = noiseAlong(trace);
      const own = correlationOf(trace, noise, 100, 20_000);
      // As samples count and as they vary: a line's uncertainty goes by both.
      return (own.samples * (own.deviation * noise.at(5000)) ** 2) / (samples * noiseAt5000 ** 2);
    });
    expect(median(found)).toBeGreaterThan(0.75);
    // Pairs that lie far apart have steps between them, which look like slow noise: the finder looks again between them.
    expect(median(found)).toBeLessThan(2.2);
  });

  it('makes no joints, hides none, and is in their uncertainty', () => {
    let [one, two, count] = [0, 0, 0];
    for (const trace of traces) {
      const { events, endIndex } = findEvents(trace, PULSE);
      const joints = events.filter(({ kind }) => kind !== 'end');
      expect(joints).toHaveLength(JOINTS.length);
      expect(Math.abs(endIndex! - END)).toBeLessThanOrEqual(PULSE);
      JOINTS.forEach(({ at, step }, index) => {
        const { sampleIndex, lossDb, sigmaDb } = joints[index]!;
        expect(Math.abs(sampleIndex - at)).toBeLessThan(300);
        const off = Math.abs(lossDb! - step) / sigmaDb!;
        if (off < 1) one++;
        if (off < 2) two++;
        count++;
      });
    }
    // One deviation covers 68 of a hundred and two 95; 24 joints are that many to within a fifth.
    expect(one / count).toBeGreaterThan(0.5);
    expect(one / count).toBeLessThan(0.88);
    expect(two / count).toBeGreaterThan(0.8);
  });
});
