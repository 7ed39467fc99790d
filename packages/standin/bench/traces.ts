import { analyse, crc16, findJoints, levelsOf, readSor, writeSor } from '@cordel/core/otdr';
import { shootTrace } from '../src/otdr.ts';
import { seeded } from '../src/random.ts';

/** A figure of the work on traces: a ratio, and what it must not be over. */
export interface TraceFigure {
  name: string;
  ratio: number;
  limit: number;
  note: string;
}

const SAMPLES = 30_000;
const TRACES = 200;

/** Eight joints about 3 km apart, the fifth a reflection. */
function shot(seed: number, noise: number) {
  const random = seeded(seed * 7919 + 1);
  return {
    seed,
    cableId: 'A',
    fiberId: String(seed),
    from: 'here',
    to: 'there',
    wavelengthNm: 1550,
    groupIndex: 146_820,
    length: 27_500,
    attenuation: 0.2,
    joints: Array.from({ length: 8 }, (_, index) => ({
      position: 2000 + index * 3000 + random.uniform() * 800,
      step: (random.uniform() < 0.25 ? -1 : 1) * (0.05 + 0.15 * random.uniform()),
      reflectance: index === 4 ? -45 : null,
    })),
    pulseNs: 100,
    spacing: 1,
    samples: SAMPLES,
    averages: 1,
    noise,
    at: 1_777_000_000,
  };
}

/**
 * Variance of a step between two stretches with free slopes, for noise that grows along them: the
 * Cramer-Rao bound of the weighted line on either side.
 */
function boundOf(
  noise: (at: number) => number,
  from: number,
  at: number,
  to: number,
  gap: number,
): number {
  const side = (first: number, last: number): number => {
    let [w, wx, wxx] = [0, 0, 0];
    for (let place = first; place < last; place++) {
      const weight = 1 / noise(place) ** 2;
      const x = place - at;
      w += weight;
      wx += weight * x;
      wxx += weight * x * x;
    }
    return wxx / (w * wxx - wx * wx);
  };
  return side(from, at) + side(at + gap, to);
}

/** Error of the losses against their bound, how often the stated uncertainty covers the truth, false joints. */
export function jointQuality(noise: number): TraceFigure[] {
  let [squares, bounds, count, one, two, falseOnes, missed, due] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= TRACES; seed++) {
    const task = shot(seed, noise);
    const levels = levelsOf({
      runs: [{ count: SAMPLES, scale: 1000 }],
      raw: shootTrace(task).samples,
      said: SAMPLES,
    });
    const found = findJoints(levels, 10).joints.filter(({ kind }) => kind !== 'end');
    const used = new Set<number>();
    let fallen = 0;
    task.joints.forEach(({ position, step }, index) => {
      const at = Math.round(position);
      const before = fallen;
      const own = (place: number): number =>
        noise * 10 ** (((0.2 * place) / 1000 + before + (place >= at ? step : 0)) / 5);
      const from = Math.round(task.joints[index - 1]?.position ?? 60);
      const to = Math.round(task.joints[index + 1]?.position ?? 27_500);
      const bound = boundOf(own, from, at, to, 10);
      fallen += step;
      const hit = found.findIndex(
        (joint, place) => !used.has(place) && Math.abs(joint.at - at) < 300,
      );
      if (hit >= 0) used.add(hit);
      if (Math.sqrt(bound) >= 0.012) return;
      due++;
      if (hit < 0) return missed++;
      const { loss, sigma } = found[hit]!;
      const error = Math.abs(loss! - step);
      squares += error ** 2;
      bounds += bound;
      count++;
      if (error < sigma!) one++;
      if (error < 2 * sigma!) two++;
    });
    falseOnes += found.length - used.size;
  }
  const share = (part: number) => `${((100 * part) / count).toFixed(1)} %`;
  return [
    {
      name: `joint-error-${noise}`,
      ratio: Math.sqrt(squares / bounds),
      limit: 1.15,
      note: `root mean square error of ${count} losses against the Cramer-Rao bound, samples of ${noise} dB noise at the start; one sigma covers ${share(one)}, two ${share(two)}; ${missed} of ${due} missed, ${falseOnes} false in ${TRACES} traces`,
    },
  ];
}

/** Middle ratio of two kinds of work done in turn. */
function ratioOf(one: () => unknown, other: () => unknown): number {
  const ratios: number[] = [];
  for (let run = -20; run < 101; run++) {
    const start = performance.now();
    one();
    const middle = performance.now();
    other();
    if (run >= 0) ratios.push((middle - start) / (performance.now() - middle));
  }
  return ratios.sort((a, b) => a - b)[50]!;
}

export function traceSpeed(): TraceFigure[] {
  const bytes = writeSor(shootTrace(shot(1, 0.01)));
  const file = readSor(bytes);
  if (!file.ok) throw new Error(file.error);
  const levels = levelsOf(file.value.data);
  if (analyse(file.value).joints.length !== 9) throw new Error('Not all joints were found.');
  const sum = () => {
    let all = 0;
    for (let at = 0; at < levels.length; at++) all += levels[at]!;
    return all;
  };
  return [
    {
      name: 'trace-read',
      ratio: ratioOf(
        () => readSor(bytes),
        () => crc16(bytes),
      ),
      limit: 2,
      note: `a file of ${bytes.length} bytes, checksum included, against a table-driven CRC over them`,
    },
    {
      name: 'trace-joints',
      ratio: ratioOf(() => findJoints(levels, 10), sum),
      limit: 25,
      note: `joints of ${SAMPLES} samples against one plain sum of them`,
    },
  ];
}
