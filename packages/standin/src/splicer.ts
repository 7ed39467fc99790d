import {
  type Air,
  type Fault,
  type FileRecord,
  type SeenFiber,
  type SplicerError,
  jointLoss,
} from '@cordel/core';
import { type Random, seeded } from './random.ts';

/** What a simulated splicer carries from arc to arc. */
export interface StandinState {
  seed: number;
  /** The running number of its last record. */
  number: number;
  /** Arcs on the electrodes, and ends cut at this place of the blade. */
  arcs: number;
  cleaves: number;
  /** Arc power against what it should be: 0 after a good check. */
  power: number;
}

export const newStandin = (seed: number): StandinState => ({
  seed,
  number: 0,
  arcs: 0,
  cleaves: 0,
  power: 0,
});

/** A fiber pair as it lies in the holder: mode field diameters at 1310 nm, um. */
export interface LoadedPair {
  mfdLeft: number;
  mfdRight: number;
}

export interface StandinTask {
  state: StandinState;
  fibers: readonly LoadedPair[];
  program: string;
  heater: string | null;
  /** ISO time of its clock. */
  at: string;
  label: string | null;
  air: Air;
  /** Made-up faults: what is wrong with this load. */
  faults?: readonly Fault[];
  tensionOff?: boolean;
  /** Cleave angle over which it stops, degrees. */
  cleaveLimit?: number;
}

/** What came of a load: the record, the truth behind it, and the splicer after it. */
export interface StandinRun {
  record: FileRecord;
  /** True loss of each fiber at 1550 nm, thousandths of a dB; null where nothing was fused. */
  truth: (number | null)[];
  state: StandinState;
}

/**
 * The distributions everything is drawn from. Set by us so that losses come out as crews see them
 * (typical estimates of 0.01 dB single, 0.01 to 0.03 dB in ribbons; common practice, no source).
 */
export const WORLD = {
  /** Cleave angle of an end: half-normal, degrees; it grows by `wear` over 1 000 cuts. */
  cleave: 0.45,
  wear: 0.8,
  /** Chance of a bad cleave, which adds 1 to 3.5 degrees. */
  badCleave: 0.025,
  /** Offset of the cores after alignment: half-normal, um; ribbons lie in fixed grooves. */
  offset: { single: 0.2, ribbon: 0.3 },
  /** Share of loads on which a speck lifts the fiber by 0.5 to 1.2 um. */
  speck: { single: 0.03, ribbon: 0.008 },
  /** What a fused joint keeps of its worse cleave angle as tilt: log-normal. */
  kept: { median: 0.2, spread: 0.3 },
  /** Drift of the arc for each shot, and its steady loss with wear. */
  drift: 0.003,
  fade: 0.00015,
  /** Loss by an arc that is off: for its square, thousandths of a dB; an eighth off costs about 0.02 dB. */
  power: 1300,
  /** Error of the estimate: constant and as a share of the loss, and how far it sees a wrong arc. */
  error: 8,
  errorShare: 0.15,
  sees: 0.6,
  tensionFails: 0.003,
  dirt: 0.005,
  groove: 0.004,
};

/** How much wider the field is at 1550 nm than at 1310 nm. */
const WIDER = 1.13;

/**
 * One load of the simulated splicer: it looks, stops where it must, fires, estimates. Losses follow from
 * the physics of joints in core; chance from the state's seed, so that the same state gives the same run.
 */
export function runStandin(task: StandinTask): StandinRun {
  const { state, fibers } = task;
  const random = seeded(
    Math.imul(state.seed ^ 0x9e3779b9, 2654435761) ^ Math.imul(state.number + 1, 40503),
  );
  const faults = new Set(task.faults ?? []);
  const power = state.power + (faults.has('worn electrodes') ? 0.28 : 0);
  const seen = fibers.map((pair, index) =>
    lookAt(pair, index + 1, fibers.length, state, random, faults),
  );
  const limit = task.cleaveLimit ?? (fibers.length > 1 ? 3 : 2);
  const stop = seen.find((fiber) => fiber.error ?? (fiber.worst > limit ? 'cleave angle' : null));
  const error: SplicerError | null = stop ? (stop.error ?? 'cleave angle') : null;
  const fused = error === null;
  const truth = seen.map((fiber) =>
    fused ? lossOf(fiber, power, faults.has('wrong program')) : null,
  );
  const fails = fused && random.uniform() < WORLD.tensionFails;
  const number = state.number + 1;
  return {
    truth: truth.map((loss) => (loss === null ? null : Math.round(loss))),
    record: {
      number,
      at: task.at,
      label: task.label,
      program: task.program,
      heater: task.heater,
      fibers: seen.map((fiber, index): SeenFiber => {
        const loss = truth[index]!;
        return {
          position: index + 1,
          cleaveLeft: rounded(fiber.left, 2),
          cleaveRight: rounded(fiber.right, 2),
          offset: rounded(fiber.offset, 2),
          gap: rounded(12 + 2 * random.normal(), 1),
          image: fiber.image,
          estimateMdb: loss === null ? null : estimateOf(fiber, power, loss, random),
          error: fiber === stop ? error : null,
        };
      }),
      fused,
      tension: !fused ? null : task.tensionOff ? 'off' : fails ? 'failed' : 'passed',
      arcs: state.arcs + (fused ? 1 : 0),
      glass: 125,
      temperature: task.air.temperature,
      pressure: task.air.pressure,
      humidity: task.air.humidity,
      origin: 'simulated',
    },
    state: {
      ...state,
      number,
      arcs: state.arcs + (fused ? 1 : 0),
      // A ribbon is cut at once: its fibers share one stroke of the blade, but each wears it.
      cleaves: state.cleaves + 2 * fibers.length,
      power: fused
        ? state.power + WORLD.fade * fibers.length ** 0.5 + WORLD.drift * random.normal()
        : state.power,
    },
  };
}

interface Seen {
  pair: LoadedPair;
  left: number;
  right: number;
  worst: number;
  offset: number;
  tilt: number;
  image: NonNullable<SeenFiber['image']>;
  error: SplicerError | null;
}

function lookAt(
  pair: LoadedPair,
  position: number,
  count: number,
  state: StandinState,
  random: Random,
  faults: ReadonlySet<Fault>,
): Seen {
  const kind = count > 1 ? 'ribbon' : 'single';
  const worn = 1 + (WORLD.wear * state.cleaves) / 1000 / (count > 1 ? 6 : 1);
  const cleave = () =>
    Math.abs(random.normal()) * WORLD.cleave * worn +
    (random.uniform() < WORLD.badCleave / Math.sqrt(count) ? 1 + 2.5 * random.uniform() : 0);
  const [left, right] = [cleave(), cleave()];
  const first = position === 1;
  const edge = kind === 'ribbon' && (first || position === count) ? 1.2 : 1;
  const speck = random.uniform() < WORLD.speck[kind] ? 0.5 + 0.7 * random.uniform() : 0;
  const offset =
    Math.abs(random.normal()) * WORLD.offset[kind] * edge +
    speck +
    (first && faults.has('offset') ? 1.25 : 0);
  const worst = Math.max(left, right);
  const kept = WORLD.kept.median * Math.exp(WORLD.kept.spread * random.normal());
  const errors: [boolean, SplicerError][] = [
    [first && faults.has('chip'), 'chip'],
    [first && faults.has('dirt'), 'dirt'],
    [random.uniform() < WORLD.dirt / count, 'dirt'],
    [kind === 'ribbon' && random.uniform() < WORLD.groove / count, 'not in groove'],
  ];
  const lift = random.normal() * 0.4;
  return {
    pair,
    left,
    right,
    worst,
    offset,
    tilt: kept * worst,
    image: {
      coreLeft: rounded(lift, 2),
      coreRight: rounded(lift + offset, 2),
      edgeLeft: rounded(lift + random.normal() * 0.2, 2),
      edgeRight: rounded(lift + offset + random.normal() * 0.2, 2),
    },
    error: errors.find(([there]) => there)?.[1] ?? null,
  };
}

/** True loss at 1550 nm, thousandths of a dB. */
function lossOf({ pair, offset, tilt }: Seen, power: number, wrongProgram: boolean): number {
  const joint = jointLoss({
    mfdA: pair.mfdLeft * WIDER,
    mfdB: pair.mfdRight * WIDER,
    offset,
    tilt,
    wavelength: 1.55,
  });
  return joint * 1000 + WORLD.power * power ** 2 + (wrongProgram ? 90 : 0);
}

/**
 * The estimate, thousandths of a dB: from offset and part of a wrong arc, as the picture shows them;
 * neither the mode fields nor the tilt inside the glass.
 */
function estimateOf({ offset }: Seen, power: number, loss: number, random: Random): number {
  const shown =
    jointLoss({ mfdA: 9.2, mfdB: 9.2, offset }) * 1000 + WORLD.sees * WORLD.power * power ** 2;
  const error = random.normal() * (WORLD.error + WORLD.errorShare * Math.min(loss, shown));
  // Splicers show whole hundredths of a dB.
  return Math.max(0, Math.round((shown + error) / 10) * 10);
}

const rounded = (figure: number, digits: number): number => Number(figure.toFixed(digits));

/** A round of an arc check: the arc comes closer each time, and passes within 3 in 100. */
export function checkStandin(state: StandinState): { passed: boolean; state: StandinState } {
  const random = seeded(state.seed ^ Math.imul(state.arcs + 7919, 31) ^ state.number);
  const power = state.power * 0.25 + 0.01 * random.normal();
  return {
    passed: Math.abs(power) < 0.03,
    state: { ...state, arcs: state.arcs + 1, power },
  };
}

/** A field as fibers of one cable have it: the cable's, give or take. */
export const fieldOf = (nominal: number, cable: string, fiber: number): number => {
  let hash = fiber;
  for (const letter of cable) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return nominal + 0.08 * seeded(hash).normal();
};
