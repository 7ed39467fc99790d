import {
  type CircuitRoute,
  type ProofTrace,
  type SplicePlace,
  type TraceFigures,
  analyse,
  crc16,
  findCauses,
  findEvents,
  alignTraces,
  levelsOf,
  measureTrace,
  pairTraces,
  readSor,
  samplesOf,
  writeSor,
} from '@cordel/core/otdr';
import { shootTrace } from '../src/otdr.ts';
import { type TruePlant, fiberMeters, shootPlant } from '../src/plant.ts';
import { seeded } from '../src/random.ts';
import { HELIX, cableName, circuitThrough, closureName } from './line.ts';

/** A figure of the work on traces: a ratio, and what it must not be over. */
export interface TraceFigure {
  name: string;
  ratio: number;
  limit: number;
  /** Whether all else that the note tells is as it should be. */
  ok?: boolean;
  note: string;
}

const SAMPLES = 30_000;

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

/** Fibers of a batch, and the closures they pass. */
const FIBERS = 48;
const SPANS = [2200, 3100, 2700, 3600, 2900, 3300, 2500, 3400, 3800];

/** A line of eight closures with joints of 0.05 dB and more, as written and as it is. */
function lineAt(seed: number) {
  const random = seeded(seed);
  const circuits = new Map<string, CircuitRoute>();
  const plants = new Map<string, TruePlant>();
  const splices = new Map<string, SplicePlace>();
  for (let fiber = 1; fiber <= FIBERS; fiber++) {
    const key = `A ${fiber}`;
    circuits.set(key, circuitThrough(SPANS, fiber));
    plants.set(key, {
      spans: SPANS.map((sheath, index) => ({
        meters: fiberMeters(sheath * HELIX, cableName(index), fiber),
        mfd: 9.2,
      })),
      joints: SPANS.slice(1).map(() => ({ loss: 0.05 + 0.15 * random.uniform() })),
    });
    for (let index = 1; index < SPANS.length; index++)
      splices.set(`${closureName(index)} ${fiber}`, {
        id: `${closureName(index)} ${fiber}`,
        closureId: closureName(index),
        closure: closureName(index),
        tray: 1,
        slot: fiber,
        label: `${closureName(index)} ${fiber}`,
        mass: false,
        position: null,
        made: true,
        limitDb: { mean: null, oneWay: null },
      });
  }
  return { circuits, plants, splices };
}

/**
 * What the fibers of a line say together: losses at every closure against their Cramer-Rao bounds, how
 * often the stated uncertainty covers the truth, joints missed, and joints found that are none.
 * @param noise of a sample at the start, dB
 * @param salt another batch of the same kind
 */
function proofQuality(noise: number, salt: number) {
  const line = lineAt(Math.round(noise * 1e5) + 7919 * salt);
  const spacing = 1;
  const files = new Map<string, Uint8Array>();
  const traces: ProofTrace[] = [];
  for (const [key, plant] of line.plants)
    for (const direction of ['AB', 'BA'] as const) {
      const id = `${key} ${direction}`;
      const bytes = writeSor(
        shootPlant(plant, {
          seed: files.size + 1 + Math.round(noise * 1e6) + 104_729 * salt,
          direction,
          wavelengthNm: 1550,
          pulseNs: 100,
          // Of a single pulse of 100 ns noise is 0.3 dB: averaged to what is asked for.
          averages: (0.3 / noise) ** 2,
          spacing,
          range: SAMPLES * spacing,
          cableId: 'A',
          fiberId: key,
          from: 'here',
          to: 'there',
          at: 1_777_000_000,
        }),
      );
      files.set(id, bytes);
      const file = readSor(bytes);
      if (!file.ok) throw new Error(file.error.code);
      const found = analyse(file.value);
      traces.push({
        id,
        name: id,
        circuit: key,
        direction,
        wavelengthNm: 1550,
        events: found.events,
        endM: found.endM,
        fadedM: found.fadedM,
        rangeM: SAMPLES * spacing,
        groupIndex: file.value.fixed.groupIndex,
        measuredAtMs: null,
        samplesDigest: id,
      });
    }
  const proof = alignTraces(line.circuits, traces);
  const figures = new Map<string, TraceFigures>();
  let [squares, bounds, count, one, two, due, missed] = [0, 0, 0, 0, 0, 0, 0];
  for (const { id, circuit, direction } of proof.traces) {
    const file = readSor(files.get(id)!);
    if (!file.ok) throw new Error(file.error.code);
    const own = measureTrace(samplesOf(file.value), proof.alignments.get(id)!);
    figures.set(id, own);
    const plant = line.plants.get(circuit)!;
    const back = direction === 'BA';
    const spans = back ? [...plant.spans].reverse() : plant.spans;
    const joints = back ? [...plant.joints].reverse() : plant.joints;
    const places: number[] = [];
    spans.reduce((sum, { meters }) => (places.push(sum + meters), sum + meters), 0);
    let fallen = 0;
    joints.forEach((joint, index) => {
      const step = joint!.loss;
      const before = fallen;
      const at = Math.round(places[index]! / spacing);
      const level = (place: number): number =>
        noise * 10 ** (((0.2 * place * spacing) / 1000 + before + (place >= at ? step : 0)) / 5);
      const from = index === 0 ? 60 : Math.round(places[index - 1]! / spacing) + 10;
      const to = Math.round(places[index + 1]! / spacing);
      const bound = boundOf(level, from, at, to, 10);
      fallen += step;
      if (Math.sqrt(bound) >= 0.012) return;
      due++;
      const figure = own.points[index + 1];
      if (!figure) return missed++;
      const error = Math.abs(figure.lossDb - step);
      squares += error ** 2;
      bounds += bound;
      count++;
      if (error < figure.sigmaDb) one++;
      if (error < 2 * figure.sigmaDb) two++;
    });
  }
  const { splices } = pairTraces(proof, line.circuits, figures);
  const unmatched = findCauses(proof, line.circuits, figures, splices, line.splices).filter(
    ({ cause }) => cause === 'unplanned' || cause === 'ghost' || cause === 'break',
  ).length;
  return { traces: traces.length, unmatched, due, missed, squares, bounds, count, one, two };
}

/** Batches of each noise: one alone has too few losses for its shares to be known to a percent. */
const ROUNDS = 5;

/** From easy to hard: error and cover of the losses, and over all what was missed and what is none. */
export function proofFigures(): TraceFigure[] {
  const noises = [0.002, 0.01, 0.03, 0.08];
  const batches = noises.map((noise) =>
    Array.from({ length: ROUNDS }, (_, salt) => proofQuality(noise, salt)),
  );
  type Key = keyof ReturnType<typeof proofQuality>;
  const sumOf = (list: ReturnType<typeof proofQuality>[], key: Key) =>
    list.reduce((all, batch) => all + batch[key], 0);
  const whole = (key: Key) => sumOf(batches.flat(), key);
  return [
    ...batches.map((list, index): TraceFigure => {
      const count = sumOf(list, 'count');
      const [one, two] = [sumOf(list, 'one'), sumOf(list, 'two')].map((own) => (100 * own) / count);
      return {
        name: `joint-loss-${noises[index]}`,
        ratio: Math.sqrt(sumOf(list, 'squares') / sumOf(list, 'bounds')),
        limit: 1.15,
        ok: one! >= 66 && one! <= 70 && two! >= 94 && two! <= 97,
        note: `root mean square error of ${count} losses at closures against the Cramer-Rao bound, samples of ${noises[index]} dB noise at the start; one sigma covers ${one!.toFixed(1)} % (66 to 70), two ${two!.toFixed(1)} % (94 to 97)`,
      };
    }),
    {
      name: 'joints-false',
      ratio: (100 * whole('unmatched')) / whole('traces'),
      limit: 1,
      ok: whole('missed') === 0,
      note: `joints told that are none, in 100 of ${whole('traces')} traces; ${whole('missed')} of ${whole('due')} joints missed`,
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
  if (!file.ok) throw new Error(file.error.code);
  const levels = levelsOf(file.value.data);
  if (analyse(file.value).events.length !== 9) throw new Error('Not all joints were found.');
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
      ratio: ratioOf(() => findEvents(levels, 10), sum),
      limit: 30,
      note: `joints of ${SAMPLES} samples against one plain sum of them`,
    },
  ];
}
