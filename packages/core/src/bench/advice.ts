import type { Limits } from '../record/limits.ts';
import type { Method } from '../record/splice.ts';
import { formatLength } from '../measure/length.ts';
import type { LengthUnit } from '../record/units.ts';
import { formatLoss } from '../measure/loss.ts';
import { normalBelow } from '../loss/normal.ts';
import { spliceLimit } from '../loss/verdict.ts';

/** One fiber of the joint in hand. Losses in thousandths of a dB, angles in degrees. */
export interface TriedFiber {
  /** The estimate just read. */
  estimate: number;
  /** The larger cleave angle of both ends; null where it is not known. */
  cleave: number | null;
  /** Estimates of the tries before this one. */
  before: readonly number[];
  /** What the mode fields of the two fibers cost however well they are joined. */
  floor: number;
}

export interface RedoTask {
  /** One fiber, or the fibers of a ribbon that are fused and broken together. */
  fibers: readonly TriedFiber[];
  method: Method;
  limits: Limits;
  /** Estimates of this splicer in this method, newest last. */
  history: readonly number[];
  /** Splices of this splicer that were measured: what was estimated and what it was. */
  measured: readonly { estimate: number; loss: number; floor: number }[];
  /** Fiber left to cut back on the shorter side, and what a redo eats; tenths of a millimeter. */
  slack: { left: number; eats: number } | null;
  /** Seconds until the window closes, and what a redo takes. */
  time: { left: number; redo: number } | null;
  unit: LengthUnit;
}

export interface RedoAdvice {
  /** `last-attempt`: a redo, and no other after it. `lead`: a redo would help, and is not the technician's to decide. */
  code: 'keep' | 'redo' | 'last-attempt' | 'lead';
  /** One line. */
  reason: string;
  /** Chance that the joint as it lies passes what accepts it, and that another try would. */
  passNow: number;
  passNext: number;
  /** The largest floor of its fibers. */
  floor: number;
  tries: number;
  /** Redos that the slack still allows; null where it is not known. */
  redosLeft: number | null;
  /** How the figures came about, a line each. */
  figures: string[];
}

/**
 * What is believed of a splicer before it has a history of its own. The logarithm of a joint's loss
 * beyond its floor, plus `SHIFT`, is taken as normal. The weights say how many splices the belief is
 * worth. Set by us after typical estimates of 0.01 dB single and 0.01 to 0.03 dB in ribbons (common
 * practice, no source).
 */
export const PRIOR = {
  /** Thousandths of a dB, so that 0.00 dB has a logarithm. */
  shift: 10,
  median: { single: 15, mass: 25 },
  /** Spread of the logarithm. */
  spread: 0.6,
  weight: 12,
  /** Share of that spread that stays with a joint from try to try: dirt and glass come back. */
  ownShare: 0.2,
  /** How far an estimate is off, thousandths of a dB. */
  error: 14,
  errorWeight: 12,
  /**
   * Loss that the picture does not show: a fused joint keeps about a fifth of its cleave angle as tilt,
   * which by Marcuse costs 12 thousandths of a dB for each degree squared.
   */
  tilt: 12,
  usualCleave: 0.5,
};

/** How many redos a splice that fails its test is worth: it is found later, with the closure shut. */
export const REDOS_A_FAIL = 20;

/** Newest estimates of a splicer that count: what it did long ago was another arc. */
const MEMORY = 80;

interface Belief {
  mean: number;
  variance: number;
  error: number;
  bias: number;
}

/** The belief about a splicer after its history: conjugate normal updates, so that weights add up. */
export function believe({
  history,
  measured,
  method,
}: Pick<RedoTask, 'history' | 'measured' | 'method'>): Belief {
  const prior = Math.log(PRIOR.median[method] + PRIOR.shift);
  const logs = history
    .slice(-MEMORY)
    .map((estimate) => Math.log(Math.max(0, estimate) + PRIOR.shift));
  const own = meanOf(logs, prior);
  const weight = PRIOR.weight + logs.length;
  const mean = (PRIOR.weight * prior + logs.length * own) / weight;
  const scatter =
    logs.reduce((sum, log) => sum + (log - own) ** 2, 0) +
    ((PRIOR.weight * logs.length) / weight) * (own - prior) ** 2;
  const variance = (PRIOR.weight * PRIOR.spread ** 2 + scatter) / weight;
  const off = measured.map(({ estimate, loss, floor }) => loss - floor - estimate);
  const count = PRIOR.errorWeight + off.length;
  const bias = off.reduce((sum, own) => sum + own, 0) / count;
  const errors =
    PRIOR.errorWeight * PRIOR.error ** 2 + off.reduce((sum, own) => sum + (own - bias) ** 2, 0);
  return { mean, variance, error: Math.sqrt(errors / count), bias };
}

const meanOf = (list: readonly number[], otherwise: number): number =>
  list.length === 0 ? otherwise : list.reduce((sum, value) => sum + value, 0) / list.length;

/** The limit that accepts a splice, thousandths of a dB. */
export const acceptingLimit = (limits: Limits, method: Method): number | null =>
  spliceLimit(limits, limits.grade, method);

const STEPS = 120;

/**
 * Chance that a joint passes as it lies: what the splicer usually makes, weighed with the estimate just
 * read and its error, plus floor and what the cleave hides.
 */
function passesNow(fiber: TriedFiber, limit: number, belief: Belief, exact: boolean): number {
  if (exact) return fiber.estimate <= limit ? 1 : 0;
  const deviation = Math.sqrt(belief.variance);
  const hidden = PRIOR.tilt * (fiber.cleave ?? PRIOR.usualCleave) ** 2;
  const room = limit - fiber.floor - hidden - belief.bias;
  const from = belief.mean - 4 * deviation;
  const to = Math.max(
    belief.mean + 5 * deviation,
    Math.log(Math.max(0, fiber.estimate) + 3 * belief.error + PRIOR.shift),
  );
  let [all, good] = [0, 0];
  const weights: [number, number][] = [];
  let most = -Infinity;
  for (let step = 0; step <= STEPS; step++) {
    const log = from + ((to - from) * step) / STEPS;
    const loss = Math.exp(log) - PRIOR.shift;
    const weight =
      -((log - belief.mean) ** 2) / (2 * belief.variance) -
      (fiber.estimate - Math.max(0, loss)) ** 2 / (2 * belief.error ** 2);
    weights.push([loss, weight]);
    most = Math.max(most, weight);
  }
  // What is hidden is known to about half its size only.
  const blur = Math.max(2, hidden / 2);
  for (const [loss, weight] of weights) {
    const likely = Math.exp(weight - most);
    all += likely;
    good += likely * normalBelow((room - Math.max(0, loss)) / blur);
  }
  return good / all;
}

/** Chance that another try passes: the splicer's usual, drawn towards what this joint has shown. */
function passesNext(fiber: TriedFiber, limit: number, belief: Belief): number {
  const tries = [...fiber.before, fiber.estimate].map((estimate) =>
    Math.log(Math.max(0, estimate) + PRIOR.shift),
  );
  const drawn = (tries.length * PRIOR.ownShare) / (1 + (tries.length - 1) * PRIOR.ownShare);
  const mean = belief.mean + drawn * (meanOf(tries, belief.mean) - belief.mean);
  const variance = belief.variance * (1 - PRIOR.ownShare + PRIOR.ownShare * (1 - drawn));
  const room = limit - fiber.floor - belief.bias - PRIOR.tilt * PRIOR.usualCleave ** 2;
  if (room + PRIOR.shift <= 0) return 0;
  return normalBelow((Math.log(room + PRIOR.shift) - mean) / Math.sqrt(variance));
}

const product = (list: readonly number[]): number => list.reduce((all, own) => all * own, 1);
const percent = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`;

/**
 * Redo or keep, for the joint just fused. A redo is worth it where it raises the chance to pass by more
 * than it costs, a failed splice counting as {@link REDOS_A_FAIL} redos. An estimate is weighed with its
 * error and is never taken for a measured loss.
 */
export function adviseRedo(task: RedoTask): RedoAdvice {
  const { fibers, limits, method, slack, time } = task;
  const limit = acceptingLimit(limits, method);
  const tries = Math.max(...fibers.map(({ before }) => before.length)) + 1;
  const floor = Math.max(...fibers.map((fiber) => fiber.floor));
  const redosLeft = slack ? Math.max(0, Math.floor(slack.left / slack.eats)) : null;
  const advice = (code: RedoAdvice['code'], reason: string, now = 1, next = 1): RedoAdvice => ({
    code,
    reason,
    passNow: now,
    passNext: next,
    floor,
    tries,
    redosLeft,
    figures: limit === null ? [] : figuresOf(task, now, next, limit, belief),
  });
  const belief = believe(task);
  if (limit === null) return advice('keep', 'The project sets no limit for this kind of splice.');
  const exact = limits.grade === 'estimate';
  const now = product(fibers.map((fiber) => passesNow(fiber, limit, belief, exact)));
  const next = product(fibers.map((fiber) => passesNext(fiber, limit, belief)));
  if (next - now <= 1 / REDOS_A_FAIL) {
    if (now > 0.5) return advice('keep', `Likely to pass: ${percent(now)}.`, now, next);
    const why =
      floor * 2 > limit
        ? `the mode fields alone cost ${formatLoss(floor)} dB, which no redo mends`
        : 'this joint has shown no better';
    return advice(
      'keep',
      `Another try passes with ${percent(next)} only: ${why}. Tell the lead.`,
      now,
      next,
    );
  }
  const chances = `another try passes with ${percent(next)}, this one with ${percent(now)}`;
  if (tries >= limits.maxTries)
    return advice('lead', `${tries} of ${limits.maxTries} tries used; ${chances}.`, now, next);
  if (redosLeft === 0) return advice('lead', `No slack left for a redo; ${chances}.`, now, next);
  if (time && time.left < time.redo)
    return advice('keep', `The window closes before a redo is done; ${chances}.`, now, next);
  const capital = `${chances.charAt(0).toUpperCase()}${chances.slice(1)}.`;
  return advice(tries === limits.maxTries - 1 ? 'last-attempt' : 'redo', capital, now, next);
}

function figuresOf(
  { fibers, method, history, measured, slack, time, limits, unit }: RedoTask,
  now: number,
  next: number,
  limit: number,
  belief: Belief,
): string[] {
  const usual = Math.round(Math.exp(belief.mean) - PRIOR.shift);
  const cleaves = fibers.flatMap(({ cleave }) => cleave ?? []);
  const worst = cleaves.length > 0 ? Math.max(...cleaves) : null;
  const lines = [
    `Passes as it lies: ${percent(now)}; another try: ${percent(next)}. Accepted by ${limits.grade}, at most ${formatLoss(limit)} dB.`,
    `This splicer usually makes ${formatLoss(usual)} dB (${history.slice(-MEMORY).length} of its own estimates, weighed with ${PRIOR.weight} of a usual splicer: ${formatLoss(PRIOR.median[method])} dB).`,
    `Its estimates are off by about ${formatLoss(Math.round(belief.error))} dB (${measured.length} measured splices, weighed with ${PRIOR.errorWeight} of 0.01 dB).`,
  ];
  if (worst !== null)
    lines.push(
      `Cleave ${worst.toFixed(1)} degrees: about ${formatLoss(Math.round(PRIOR.tilt * worst ** 2))} dB that the picture does not show.`,
    );
  const floor = Math.max(...fibers.map((fiber) => fiber.floor));
  if (floor > 0) lines.push(`Mode fields: ${formatLoss(floor)} dB at least, whatever is done.`);
  if (slack)
    lines.push(
      `Slack: ${formatLength(slack.left, unit, 'down')} left, a redo eats ${formatLength(slack.eats, unit)}.`,
    );
  if (time)
    lines.push(
      `Window: ${Math.floor(time.left / 60)} min left, a redo takes about ${Math.ceil(time.redo / 60)} min.`,
    );
  lines.push(
    `A splice that fails its test counts as ${REDOS_A_FAIL} redos. An estimate is no measured loss.`,
  );
  return lines;
}
