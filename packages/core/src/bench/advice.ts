import type { Limits } from '../record/limits.ts';
import type { Method } from '../record/splice.ts';
import type { Loss, Probability, Quantity } from '../record/message.ts';
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
}

export interface RedoAdvice {
  /** `last-attempt`: a redo, and no other after it. `lead`: a redo would help, and is not the technician's to decide. */
  code: 'keep' | 'redo' | 'last-attempt' | 'lead';
  reason: RedoReason;
  /** Chance that the joint as it lies passes what accepts it, and that another try would. */
  passNow: number;
  passNext: number;
  /** The largest floor of its fibers. */
  floor: number;
  tries: number;
  /** Redos that the slack still allows; null where it is not known. */
  redosLeft: number | null;
  /** How the figures came about. */
  figures: RedoFigure[];
}

/** Why it is advised. `now` and `next` are the chances that the joint passes as it lies and after another try. */
export type RedoReason =
  | { code: 'noLimit' }
  /** An estimate is over the project's redo line, which says so whatever a measurement would find. */
  | { code: 'overLine'; estimate: Loss; line: Loss; next: Probability }
  | { code: 'likely'; now: Probability }
  /** Another try does little: the mode fields cost too much, or the joint has shown no better. */
  | { code: 'modeFields'; next: Probability; floor: Loss }
  | { code: 'noBetter'; next: Probability }
  | { code: 'attemptsUsed'; used: number; most: number; now: Probability; next: Probability }
  | { code: 'noSlack' | 'windowCloses' | 'redoHelps'; now: Probability; next: Probability };

/** A figure that the advice rests on. */
export type RedoFigure =
  | {
      code: 'chances';
      now: Probability;
      next: Probability;
      grade: Limits['grade'];
      limit: Loss;
    }
  | { code: 'usual'; usual: Loss; estimates: number; weight: number; prior: Loss }
  | { code: 'estimateError'; error: Loss; measured: number; weight: number }
  | { code: 'cleave'; degrees: string; loss: Loss }
  | { code: 'modeFields'; floor: Loss }
  | { code: 'slack'; left: Quantity; redo: Quantity }
  | { code: 'window'; leftMinutes: number; redoMinutes: number }
  | { code: 'failCost'; redos: number };

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
  spliceLimit(limits, limits.grade, { method, end: null });

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
  const advice = (code: RedoAdvice['code'], reason: RedoReason, now = 1, next = 1): RedoAdvice => ({
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
  const line = limits.splice.estimate[method];
  const most = Math.max(...fibers.map(({ estimate }) => estimate));
  const isOverLine = line !== null && most > line;
  if (limit === null && !isOverLine) return advice('keep', { code: 'noLimit' });
  const exact = limits.grade === 'estimate';
  const now = product(fibers.map((fiber) => passesNow(fiber, limit ?? line!, belief, exact)));
  const next = product(fibers.map((fiber) => passesNext(fiber, limit ?? line!, belief)));
  const chances = { now: { chance: now }, next: { chance: next } };
  const isSplicedOut = tries >= limits.maxTries || redosLeft === 0;
  const isLate = time !== null && time.left < time.redo;
  // One recommendation: the redo line is the project's own word, and a chance to pass does not overrule it.
  if (isOverLine && !isSplicedOut && !isLate && floor <= line) {
    const overLine = {
      code: 'overLine' as const,
      estimate: { lossMdb: most },
      line: { lossMdb: line },
      next: chances.next,
    };
    return advice(codeOf(tries, limits), overLine, now, next);
  }
  if (next - now <= 1 / REDOS_A_FAIL && !isOverLine) {
    if (now > 0.5) return advice('keep', { code: 'likely', now: chances.now }, now, next);
    const reason: RedoReason =
      floor * 2 > (limit ?? 0)
        ? { code: 'modeFields', next: chances.next, floor: { lossMdb: floor } }
        : { code: 'noBetter', next: chances.next };
    return advice('keep', reason, now, next);
  }
  if (isOverLine && floor > line)
    return advice(
      'lead',
      { code: 'modeFields', next: chances.next, floor: { lossMdb: floor } },
      now,
      next,
    );
  if (tries >= limits.maxTries) {
    const used = { used: tries, most: limits.maxTries };
    return advice('lead', { code: 'attemptsUsed', ...used, ...chances }, now, next);
  }
  if (redosLeft === 0) return advice('lead', { code: 'noSlack', ...chances }, now, next);
  if (isLate)
    return advice(isOverLine ? 'lead' : 'keep', { code: 'windowCloses', ...chances }, now, next);
  return advice(codeOf(tries, limits), { code: 'redoHelps', ...chances }, now, next);
}

const codeOf = (tries: number, { maxTries }: Limits): 'redo' | 'last-attempt' =>
  tries === maxTries - 1 ? 'last-attempt' : 'redo';

function figuresOf(
  { fibers, method, history, measured, slack, time, limits }: RedoTask,
  now: number,
  next: number,
  limit: number,
  belief: Belief,
): RedoFigure[] {
  const usual = Math.round(Math.exp(belief.mean) - PRIOR.shift);
  const cleaves = fibers.flatMap(({ cleave }) => cleave ?? []);
  const worst = cleaves.length > 0 ? Math.max(...cleaves) : null;
  const figures: RedoFigure[] = [
    {
      code: 'chances',
      now: { chance: now },
      next: { chance: next },
      grade: limits.grade,
      limit: { lossMdb: limit },
    },
    {
      code: 'usual',
      usual: { lossMdb: usual },
      estimates: history.slice(-MEMORY).length,
      weight: PRIOR.weight,
      prior: { lossMdb: PRIOR.median[method] },
    },
    {
      code: 'estimateError',
      error: { lossMdb: Math.round(belief.error) },
      measured: measured.length,
      weight: PRIOR.errorWeight,
    },
  ];
  if (worst !== null)
    figures.push({
      code: 'cleave',
      degrees: worst.toFixed(1),
      loss: { lossMdb: Math.round(PRIOR.tilt * worst ** 2) },
    });
  const floor = Math.max(...fibers.map((fiber) => fiber.floor));
  if (floor > 0) figures.push({ code: 'modeFields', floor: { lossMdb: floor } });
  if (slack)
    figures.push({
      code: 'slack',
      left: { lengthTenthsMm: slack.left, towards: 'down' },
      redo: { lengthTenthsMm: slack.eats },
    });
  if (time)
    figures.push({
      code: 'window',
      leftMinutes: Math.floor(time.left / 60),
      redoMinutes: Math.ceil(time.redo / 60),
    });
  return [...figures, { code: 'failCost', redos: REDOS_A_FAIL }];
}
