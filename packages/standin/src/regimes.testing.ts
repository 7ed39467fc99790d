import { errorFunction } from 'simple-statistics';
import { LIGHT, analyse, readSor, writeSor } from '@cordel/core/otdr';
import { type TrueJoint, lossTo } from './light.ts';
import { type OtdrTask, shootTrace } from './otdr.ts';
import { IDEAL, type Receiver } from './receiver.ts';
import { type Random, seeded } from './random.ts';

/** Traces of a regime whose parameters are drawn: what an instrument does to light, and how it is set. */
export interface Regime {
  name: string;
  receiver(random: Random): Partial<Receiver>;
  setting?(random: Random): { spacing: number; pulseNs: number };
  /** dB of a splitter among the joints. */
  splitterDb?(random: Random): number;
  /** How far over their bound losses may lie. */
  limit?: number;
}

const between = ({ uniform }: Random, low: number, high: number): number =>
  low + (high - low) * uniform();
/** Drawn so that each factor is as likely. */
const scale = (random: Random, low: number, high: number): number =>
  low * (high / low) ** random.uniform();

const correlated = (low: number, high: number): Regime => ({
  name: `correlated-${low}-${high}`,
  receiver: (random) => ({ correlation: between(random, low, high) }),
});
const tails = (low: number, high: number): Regime => ({
  name: `tail-${low}-${high}m`,
  receiver: (random) => ({
    tail: { meters: between(random, low, high), part: between(random, 0.01, 0.1) },
  }),
  limit: 1.5,
});

export const REGIMES: readonly Regime[] = [
  { name: 'white', receiver: () => ({}) },
  correlated(0.3, 0.6),
  correlated(0.6, 0.9),
  correlated(0.9, 0.95),
  {
    name: 'moving-mean',
    receiver: (random) => ({ smoothing: Math.round(between(random, 2, 12)) }),
  },
  tails(10, 40),
  tails(40, 80),
  {
    name: 'spacing',
    receiver: () => ({}),
    setting: (random) => ({ spacing: scale(random, 0.25, 8), pulseNs: 100 }),
  },
  {
    name: 'pulse',
    receiver: () => ({}),
    setting: (random) => ({ spacing: 1, pulseNs: Math.round(scale(random, 5, 2000)) }),
  },
  {
    name: 'spacing-and-pulse',
    receiver: () => ({}),
    setting: (random) => ({
      spacing: scale(random, 0.25, 8),
      pulseNs: Math.round(scale(random, 5, 2000)),
    }),
  },
  { name: 'stored-0.01', receiver: () => ({ storedStepDb: 0.01 }) },
  { name: 'stored-0.05', receiver: () => ({ storedStepDb: 0.05 }) },
  { name: 'splitter', receiver: () => ({}), splitterDb: (random) => between(random, 3.5, 21) },
  {
    name: 'all-together',
    receiver: (random) => ({
      correlation: between(random, 0.3, 0.9),
      tail: { meters: between(random, 10, 40), part: between(random, 0.01, 0.06) },
      storedStepDb: 0.01,
      saturationDb: between(random, 8, 12),
    }),
    setting: (random) => ({
      spacing: scale(random, 0.5, 4),
      pulseNs: Math.round(scale(random, 20, 500)),
    }),
    limit: 1.5,
  },
];

/** A trace with all that is drawn for it. */
interface Drawn {
  task: OtdrTask;
  joints: TrueJoint[];
  receiver: Receiver;
  /** Independent samples that as many of these are worth one. */
  shared: number;
  pulseM: number;
}

function draw(regime: Regime, seed: number): Drawn {
  const random = seeded(seed);
  const receiver = { ...IDEAL, ...regime.receiver(random) };
  const { spacing, pulseNs: drawn } = regime.setting?.(random) ?? { spacing: 1, pulseNs: 100 };
  const groupIndex = 146_820;
  const metersPerNs = (1e-9 * LIGHT * 100_000) / groupIndex / 2;
  const attenuation = between(random, 0.18, 0.24);
  // So many samples as instruments have, and no longer than its light reaches.
  const length = Math.min(40_000, Math.round(spacing * between(random, 20_000, 27_500)));
  const count = 8;
  const room = length / (count + 1);
  // Who looks for joints so close together takes a pulse that tells them apart.
  const pulseNs = Math.min(drawn, Math.floor(room / 15 / metersPerNs));
  const pulseM = pulseNs * metersPerNs;
  const splitter = regime.splitterDb && 4 + Math.floor(4 * random.uniform());
  const joints = Array.from({ length: count }, (_, index): TrueJoint => ({
    position: room * (index + 0.7 + 0.6 * random.uniform()),
    step:
      index === splitter
        ? regime.splitterDb!(random)
        : (random.uniform() < 0.25 ? -1 : 1) * between(random, 0.05, 0.2),
    reflectance: index === 2 ? between(random, -55, -40) : null,
    // No two fibers have quite the same attenuation.
    attenuation: attenuation + between(random, -0.01, 0.01),
  }));
  const shared =
    receiver.smoothing > 1
      ? receiver.smoothing
      : (1 + receiver.correlation) / (1 - receiver.correlation);
  // As much noise as leaves the same bound, however it hangs together and however many samples there are.
  const noise =
    (scale(random, 0.002, 0.008) / Math.sqrt(shared)) * Math.sqrt(length / spacing / 24_000);
  const end = random.uniform();
  return {
    joints,
    receiver,
    shared,
    pulseM,
    task: {
      seed,
      cableId: 'A',
      fiberId: '1',
      from: 'here',
      to: 'there',
      wavelengthNm: 1550,
      groupIndex,
      length,
      attenuation,
      joints,
      pulseNs,
      spacing,
      samples: Math.round((1.1 * length) / spacing) + 500,
      averages: 1,
      // A moving mean leaves less of the noise than goes in.
      noise: receiver.smoothing > 1 ? noise * Math.sqrt(receiver.smoothing) : noise,
      endReflectance: end < 0.6 ? -14 : end < 0.8 ? between(random, -50, -35) : null,
      at: 1_777_000_000,
      receiver,
    },
  };
}

/** Variance of a step for noise that grows along the trace: the Cramer-Rao bound of weighted lines with free slopes. */
function boundOf(
  variance: (meters: number) => number,
  [from, at, next, to]: readonly [number, number, number, number],
  spacing: number,
): number {
  const side = (first: number, last: number): number => {
    let [w, wx, wxx] = [0, 0, 0];
    const every = Math.max(spacing, (last - first) / 400);
    for (let place = first + every / 2; place < last; place += every) {
      const weight = every / spacing / variance(place);
      const x = place - at;
      w += weight;
      wx += weight * x;
      wxx += weight * x * x;
    }
    return wxx / (w * wxx - wx * wx);
  };
  return side(from, at) + side(next, to);
}

/** Whether noise hides the end and all that lies before it behind the last splitter, so that nobody can tell it. */
function hidden(
  { length, joints, endReflectance, spacing, pulseNs }: OtdrTask,
  losses: number,
  shared: number,
  noise: number,
  pulseM: number,
): boolean {
  const deviation = (noise * Math.LN10) / 5;
  const light = 10 ** (-losses / 5);
  const height =
    endReflectance == null
      ? 0
      : light * 10 ** ((endReflectance + 80 - 10 * Math.log10(pulseNs)) / 10);
  const last = joints.at(-1)!;
  const samples = (length - last.position) / spacing;
  return (
    height < HIDDEN * deviation * Math.sqrt(Math.min(1, shared / (pulseM / spacing))) &&
    light * Math.sqrt(samples / shared) < HIDDEN * deviation
  );
}

/** What stands out from noise by less deviations is hidden. */
const HIDDEN = 10;

/**
 * A step that looks larger than so many deviations is one to whoever knows all but whether it is there: with some 400
 * places that know nothing of each other, noise alone gets there in one trace of a hundred.
 */
const TAKEN = 4.2;

/** How likely noise hides a step of so many deviations from whoever may be wrong in one trace of a hundred. */
const hiddenBy = (deviations: number): number =>
  (1 - errorFunction((deviations - TAKEN) / Math.SQRT2)) / 2;

export interface RegimeFigures {
  name: string;
  due: number;
  missed: number;
  /** How many nobody could find, for noise hides them: in the mean over noise. */
  unavoidable: number;
  falsePer100: number;
  ratio: number;
  limit: number;
  oneSigma: number;
  twoSigma: number;
  endWrong: number;
  endUnseen: number;
  endHidden: number;
  traces: number;
}

/** How well the joints of a regime are found and measured, by the files that an instrument would write. */
export function measureRegime(regime: Regime, seed: number, traces: number): RegimeFigures {
  let [squares, bounds, count, one, two] = [0, 0, 0, 0, 0];
  let [falseOnes, missed, unavoidable, due] = [0, 0, 0, 0];
  let [endWrong, endUnseen, endHidden] = [0, 0, 0];
  for (let trace = 0; trace < traces; trace++) {
    const { task, joints, receiver, shared, pulseM } = draw(regime, seed + trace);
    const file = readSor(writeSor(shootTrace(task)));
    if (!file.ok) throw new Error(file.error.code);
    const { events, endM } = analyse(file.value);
    const found = events.filter(({ kind }) => kind !== 'end');
    const { spacing, length } = task;
    const stored = receiver.storedStepDb ** 2 / 12;
    const own = receiver.smoothing > 1 ? task.noise / Math.sqrt(receiver.smoothing) : task.noise;
    const variance = (meters: number) => {
      return shared * (own * 10 ** (lossTo(task, meters) / 5)) ** 2 + stored;
    };
    const used = new Set<number>();
    joints.forEach(({ position, step }, index) => {
      const from = index === 0 ? 4 * pulseM : joints[index - 1]!.position + pulseM;
      const to = joints[index + 1]?.position ?? length;
      const bound = boundOf(variance, [from, position, position + pulseM, to], spacing);
      const near = Math.min((to - from) / 4, 300 * spacing + pulseM);
      let hit = -1;
      found.forEach(({ positionM }, place) => {
        if (used.has(place) || Math.abs(positionM - position) > near) return;
        if (hit < 0 || Math.abs(found[hit]!.positionM - position) > Math.abs(positionM - position))
          hit = place;
      });
      if (hit >= 0) used.add(hit);
      if (Math.sqrt(bound) >= 0.012 || Math.abs(step) < 0.05) return;
      due++;
      unavoidable += hiddenBy(Math.abs(step) / Math.sqrt(bound));
      if (hit < 0) return missed++;
      const { lossDb, sigmaDb } = found[hit]!;
      const error = Math.abs(lossDb! - step);
      squares += error ** 2;
      bounds += bound;
      count++;
      if (error < sigmaDb!) one++;
      if (error < 2 * sigmaDb!) two++;
    });
    falseOnes += found.length - used.size;
    const isHidden = hidden(task, lossTo(task, length), shared, own, pulseM);
    if (isHidden) endHidden++;
    else if (endM === null) endUnseen++;
    else if (Math.abs(endM - length) > Math.max(2 * spacing, pulseM) + spacing / 2) endWrong++;
  }
  return {
    name: regime.name,
    due,
    missed,
    unavoidable,
    falsePer100: (100 * falseOnes) / traces,
    ratio: Math.sqrt(squares / bounds),
    limit: regime.limit ?? 1.25,
    oneSigma: one / count,
    twoSigma: two / count,
    endWrong,
    endUnseen,
    endHidden,
    traces,
  };
}
