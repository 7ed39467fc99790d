import {
  type CircuitRoute,
  type AlignedTraces,
  type ProofTrace,
  type SorFile,
  type Survey,
  type TraceFigures,
  analyse,
  alignTraces,
  measureTrace,
  pairTraces,
  readSor,
  samplesOf,
  surveyOf,
  writeSor,
} from '@cordel/core/otdr';
import { type TruePlant, fiberMeters, shootPlant } from '../src/plant.ts';
import { seeded } from '../src/random.ts';
import { HELIX, cableName, circuitThrough } from './line.ts';
import type { TraceFigure } from './traces.ts';

const FIBERS = 288;
const SAMPLES = 30_000;
const SPANS = [3200, 4100, 3700, 4600, 3900, 4300];
/** Megabytes that the whole batch may take. */
const ROOM = 400;

interface Batch {
  circuits: Map<string, CircuitRoute>;
  files: { id: string; circuit: string; direction: 'AB' | 'BA'; bytes: Uint8Array }[];
}

/** 288 fibers through five closures, shot from both ends: bytes as they come from a folder. */
function makeBatch(): Batch {
  const batch: Batch = { circuits: new Map(), files: [] };
  for (let fiber = 1; fiber <= FIBERS; fiber++) {
    const circuit = `A ${fiber}`;
    const random = seeded(fiber);
    batch.circuits.set(circuit, circuitThrough(SPANS, fiber));
    const plant: TruePlant = {
      spans: SPANS.map((sheath, index) => ({
        meters: fiberMeters(sheath * HELIX, cableName(index), fiber),
        mfd: 9.2 + 0.1 * random.normal(),
      })),
      joints: SPANS.slice(1).map(() => ({ loss: 0.01 + 0.08 * random.uniform() })),
    };
    for (const direction of ['AB', 'BA'] as const)
      batch.files.push({
        id: `${circuit} ${direction}`,
        circuit,
        direction,
        bytes: writeSor(
          shootPlant(plant, {
            seed: 2 * fiber + (direction === 'AB' ? 0 : 1),
            direction,
            wavelengthNm: 1550,
            pulseNs: 100,
            averages: 16_384,
            spacing: 1,
            range: SAMPLES,
            cableId: 'A',
            fiberId: circuit,
            from: 'here',
            to: 'there',
            at: 1_777_000_000,
          }),
        ),
      });
  }
  return batch;
}

const read = (bytes: Uint8Array): SorFile => {
  const file = readSor(bytes);
  if (!file.ok) throw new Error(file.error.code);
  return file.value;
};

type One = Batch['files'][number];

const traceOf = (
  { id, circuit, direction }: One,
  file: SorFile,
  samples = samplesOf(file),
  survey = surveyOf(samples.levels, samples.pulse),
): ProofTrace => {
  const { events, endM, fadedM } = analyse(file, samples, survey);
  return {
    id,
    name: id,
    circuit,
    direction,
    wavelengthNm: 1550,
    events,
    endM,
    fadedM,
    rangeM: SAMPLES,
    groupIndex: file.fixed.groupIndex,
    measuredAtMs: null,
    samplesDigest: id,
  };
};

const measureOf = (
  proof: AlignedTraces,
  id: string,
  file: SorFile,
  survey?: Survey,
): TraceFigures => measureTrace(samplesOf(file), proof.alignments.get(id)!, survey);

/** Time that a piece of work takes, ms, and what it gives. */
function timed<Result>(work: () => Result): [number, Result] {
  const start = performance.now();
  const result = work();
  return [performance.now() - start, result];
}

/** The whole batch in one go, file by file, with the clock read at each stage. */
function inOneGo({ circuits, files }: Batch) {
  const shares = { read: 0, analyse: 0, match: 0, measure: 0, pair: 0 };
  let most = 0;
  const look = () => (most = Math.max(most, process.memoryUsage().rss));
  const start = performance.now();
  const surveys = new Map<string, Survey>();
  const traces = files.map((one, index) => {
    const [reading, file] = timed(() => read(one.bytes));
    const [finding, trace] = timed(() => {
      const samples = samplesOf(file);
      const survey = surveyOf(samples.levels, samples.pulse);
      // Noise and end are known from here on: measuring asks for them again.
      surveys.set(one.id, survey);
      return traceOf(one, file, samples, survey);
    });
    shares.read += reading;
    shares.analyse += finding;
    if (index % 32 === 0) look();
    return trace;
  });
  const [matching, proof] = timed(() => alignTraces(circuits, traces));
  shares.match = matching;
  const figures = new Map<string, TraceFigures>();
  files.forEach(({ id, bytes }, index) => {
    const [reading, file] = timed(() => read(bytes));
    const [measuring, own] = timed(() => measureOf(proof, id, file, surveys.get(id)));
    shares.read += reading;
    shares.measure += measuring;
    figures.set(id, own);
    if (index % 32 === 0) look();
  });
  const [pairing, paired] = timed(() => pairTraces(proof, circuits, figures));
  shares.pair = pairing;
  look();
  return { total: performance.now() - start, shares, most, paired };
}

/** The same stages one after the other over all files, each alone. */
function alone({ circuits, files }: Batch): number {
  const [reading, opened] = timed(() => files.map(({ bytes }) => read(bytes)));
  const [finding, traces] = timed(() => files.map((one, index) => traceOf(one, opened[index]!)));
  const [matching, proof] = timed(() => alignTraces(circuits, traces));
  const [again, fresh] = timed(() => files.map(({ bytes }) => read(bytes)));
  const [measuring, figures] = timed(
    () => new Map(files.map(({ id }, index) => [id, measureOf(proof, id, fresh[index]!)])),
  );
  const [pairing] = timed(() => pairTraces(proof, circuits, figures));
  return reading + finding + matching + again + measuring + pairing;
}

/** 288 fibers from both ends: read, analysed, matched, measured and paired in one go. */
export function batchFigures(): TraceFigure[] {
  const batch = makeBatch();
  // The memory of the work, not of what made the traces.
  globalThis.gc?.();
  const before = process.memoryUsage().rss;
  const first = inOneGo(batch);
  const used = (first.most - before) / 2 ** 20;
  const runs = Array.from({ length: 3 }, () => {
    const sum = alone(batch);
    const { total, shares } = inOneGo(batch);
    return { ratio: total / sum, total, shares };
  }).sort((a, b) => a.ratio - b.ratio);
  const { ratio, total, shares } = runs[1]!;
  const parts = Object.entries(shares)
    .map(([name, time]) => `${name} ${((100 * time) / total).toFixed(0)} %`)
    .join(', ');
  const files = batch.files.reduce((sum, { bytes }) => sum + bytes.length, 0) / 2 ** 20;
  return [
    {
      name: 'trace-batch',
      ratio,
      limit: 1,
      ok: first.paired.splices.length === FIBERS * (SPANS.length - 1),
      note: `${batch.files.length} traces of ${SAMPLES} samples in one go against the sum of its stages alone: ${parts}; ${first.paired.splices.length} splices paired`,
    },
    {
      name: 'trace-batch-memory',
      ratio: (used + files) / ROOM,
      limit: 1,
      note: `${used.toFixed(0)} MB above ${files.toFixed(0)} MB of files, of ${ROOM} MB`,
    },
  ];
}
