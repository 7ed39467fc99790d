import {
  type CircuitRoute,
  type AlignedTraces,
  type ProofTrace,
  type SplicePlace,
  type TraceFigures,
  analyse,
  factsOf,
  alignTraces,
  measureTrace,
  readSor,
  samplesOf,
  writeSor,
} from '@cordel/core/otdr';
import { type OtdrShot, type TruePlant, fiberMeters, shootPlant } from './plant.ts';
import { fieldOf } from './splicer.ts';
import { seeded } from './random.ts';

/** A line of cables with closures between, and how its fibers really are. */
export interface Line {
  circuits: Map<string, CircuitRoute>;
  plants: Map<string, TruePlant>;
  splices: Map<string, SplicePlace>;
}

const CABLES = ['L', 'M', 'N', 'P'];
export const CLOSURES = ['ferry', 'kiln', 'osier'];
const SHEATH = [2206, 4712, 3412, 3306];
const HELIX = 1.005;

/** What is out of order: by fiber, or by closure and fiber. */
export interface Mishaps {
  plant?: Record<number, Partial<TruePlant>>;
  loss?: Record<string, number>;
  bend?: Record<string, number>;
  /** Sheath that is written and not there, by cable, m. */
  written?: Record<string, number>;
}

/** So many fibers through three closures, with usual splices but for what is out of order. */
export function lineOf(fibers: number, mishaps: Mishaps = {}): Line {
  const line: Line = { circuits: new Map(), plants: new Map(), splices: new Map() };
  for (let fiber = 1; fiber <= fibers; fiber++) {
    const key = `L ${fiber}`;
    const random = seeded(fiber);
    const tray = Math.ceil(fiber / 12);
    line.circuits.set(key, {
      key,
      label: key,
      points: [
        { closureId: null, name: 'hut', tray: null, spliceId: null, isFused: true },
        ...CLOSURES.map((name) => ({
          closureId: name,
          name,
          tray,
          spliceId: `${name} ${fiber}`,
          isFused: true,
        })),
        { closureId: null, name: 'loft', tray: null, spliceId: null, isFused: true },
      ],
      spans: CABLES.map((cable, index) => ({
        cableId: cable,
        cable,
        fiber,
        sheathM: SHEATH[index]! + (mishaps.written?.[cable] ?? 0),
        marked: false,
        coilsM: [index === 0 ? 0 : 6, index === 3 ? 0 : 6 + (mishaps.written?.[cable] ?? 0)] as [
          number,
          number,
        ],
        marksM: [null, null] as [null, null],
        helix: HELIX,
      })),
    });
    line.plants.set(key, {
      spans: CABLES.map((cable, index) => ({
        meters: fiberMeters(SHEATH[index]! * HELIX, cable, fiber),
        mfd: fieldOf(cable === 'M' ? 9.55 : 9.15, cable, fiber),
      })),
      joints: CLOSURES.map((name) => ({
        loss: mishaps.loss?.[`${name} ${fiber}`] ?? 0.015 + 0.03 * random.uniform(),
        bend: mishaps.bend?.[`${name} ${fiber}`] ?? 0,
      })),
      ...mishaps.plant?.[fiber],
    });
    for (const name of CLOSURES)
      line.splices.set(`${name} ${fiber}`, {
        id: `${name} ${fiber}`,
        closureId: name,
        closure: name,
        tray,
        slot: ((fiber - 1) % 12) + 1,
        label: `${name} ${fiber}`,
        mass: false,
        position: null,
        made: true,
        limitDb: { mean: 0.1, oneWay: 0.15 },
      });
  }
  return line;
}

/** Bytes of a trace file. */
export function shotOf(
  { plants }: Line,
  fiber: number,
  direction: 'AB' | 'BA',
  wavelengthNm: number,
  setting: Partial<OtdrShot> = {},
): Uint8Array {
  return writeSor(
    shootPlant(plants.get(`L ${fiber}`)!, {
      seed: fiber * 100 + wavelengthNm + (direction === 'AB' ? 0 : 31),
      direction,
      wavelengthNm,
      pulseNs: 100,
      averages: 32_768,
      spacing: 2,
      range: 16_000,
      cableId: 'L',
      fiberId: String(fiber),
      from: 'hut',
      to: 'loft',
      at: 1_777_000_000,
      ...setting,
    }),
  );
}

/** A trace as it was read, with its file. */
export interface ReadTrace {
  trace: ProofTrace;
  bytes: Uint8Array;
}

export function readTrace(
  bytes: Uint8Array,
  fiber: number,
  direction: 'AB' | 'BA',
  wavelengthNm: number,
): ReadTrace {
  const file = readSor(bytes);
  if (!file.ok) throw new Error(file.error.code);
  const samples = samplesOf(file.value);
  const { events: joints, endM: end, fadedM: faded } = analyse(file.value, samples);
  const { rangeM: range, groupIndex } = factsOf(file.value, samples);
  const id = `L ${fiber} ${direction} ${wavelengthNm}`;
  return {
    bytes,
    trace: {
      id,
      name: `${id.replaceAll(' ', '_')}.sor`,
      circuit: `L ${fiber}`,
      direction,
      wavelengthNm,
      events: joints,
      endM: end,
      fadedM: faded,
      rangeM: range,
      groupIndex,
      measuredAtMs: null,
      samplesDigest: String(samples.levels.reduce((sum, level, at) => sum + level * (at % 97), 0)),
    },
  };
}

/** Both directions at two wavelengths of every fiber. */
export const shootAll = (line: Line, setting: Partial<OtdrShot> = {}): ReadTrace[] =>
  [...line.plants.keys()].flatMap((_, index) =>
    (['AB', 'BA'] as const).flatMap((direction) =>
      [1310, 1550].map((nm) =>
        readTrace(shotOf(line, index + 1, direction, nm, setting), index + 1, direction, nm),
      ),
    ),
  );

/** Lays and measures traces. */
export function proveAll(
  { circuits }: Line,
  list: readonly ReadTrace[],
): { proof: AlignedTraces; figures: Map<string, TraceFigures> } {
  const proof = alignTraces(
    circuits,
    list.map(({ trace }) => trace),
  );
  const files = new Map(list.map(({ trace, bytes }) => [trace.id, bytes]));
  const figures = new Map(
    proof.traces.map(({ id }) => {
      const file = readSor(files.get(id)!);
      if (!file.ok) throw new Error(file.error.code);
      const samples = samplesOf(file.value);
      const by = proof.indexRatio.get(id)!;
      return [
        id,
        measureTrace(
          { ...samples, spacing: samples.spacing * by, first: samples.first * by },
          proof.alignments.get(id)!,
        ),
      ] as const;
    }),
  );
  return { proof, figures };
}
