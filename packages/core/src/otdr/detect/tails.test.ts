import { findEvents } from './findEvents.ts';
import { normalFrom } from './normal.testing.ts';

const LENGTH = 24_000;
const END = 20_000;
const PULSE = 10;
const NOISE_DB = 0.003;
/** A connector in the middle, ten times as bright as the fiber, between two splices. */
const JOINTS = [
  { at: 4000, step: 0.08, height: 0 },
  { at: 9000, step: 0.3, height: 9 },
  { at: 14_000, step: 0.12, height: 0 },
];

/** A fiber behind a receiver that comes back slowly from light: an exponential of so many samples, as a part of it. */
function traceWith(tail: { samples: number; part: number }, seed: number): Float32Array {
  const normal = normalFrom(seed);
  const fiberAt = (at: number): number => {
    if (at >= END) return 0;
    let loss = 0.0002 * at;
    for (const joint of JOINTS)
      loss += joint.step * Math.min(1, Math.max(0, (at - joint.at) / PULSE));
    return 10 ** (-loss / 5);
  };
  let rest = 0;
  return Float32Array.from({ length: LENGTH }, (_, at) => {
    let glare = at < 25 ? 20 : 0;
    for (const joint of JOINTS)
      if (at >= joint.at && at < joint.at + PULSE) glare += joint.height * fiberAt(joint.at);
    if (at >= END && at < END + PULSE) glare = 10;
    // The receiver goes on with a part of the glare that it has just seen.
    rest = glare > 0 ? tail.part * glare : rest * Math.exp(-1 / tail.samples);
    const light = fiberAt(at) + glare + (glare > 0 ? 0 : rest);
    return 5 * Math.log10(Math.max(1e-9, light + (normal() * NOISE_DB * Math.LN10) / 5)) - 12;
  });
}

describe.each([
  ['10 samples, 5 %', { samples: 10, part: 0.05 }],
  ['40 samples, 7 %', { samples: 40, part: 0.07 }],
  ['80 samples, 10 %', { samples: 80, part: 0.1 }],
])('a receiver’s tail of %s', (_, tail) => {
  it.each([1, 2, 3, 4])('is no joint and takes nothing from those that are (%d)', (seed) => {
    const { events, endIndex } = findEvents(traceWith(tail, seed), PULSE);
    const found = events.filter(({ kind }) => kind !== 'end');
    expect(found.map(({ kind }) => kind)).toEqual(['splice', 'reflection', 'splice']);
    found.forEach(({ sampleIndex, lossDb, sigmaDb }, index) => {
      const { at, step } = JOINTS[index]!;
      expect(Math.abs(sampleIndex - at)).toBeLessThan(100);
      // Four deviations, and no more than a tenth of the limits that losses are held against.
      expect(Math.abs(lossDb! - step)).toBeLessThan(Math.min(0.01, Math.max(0.001, 4 * sigmaDb!)));
    });
    expect(Math.abs(endIndex! - END)).toBeLessThanOrEqual(PULSE);
  });
});
