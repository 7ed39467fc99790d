import { formatHalf, formatLoss } from '../measure/loss.ts';
import type { Limits } from '../record/limits.ts';
import type { Method } from '../record/splice.ts';
import { tryCount } from './spliceState.ts';
import { type Directions, type Standing } from './standing.ts';
import { type Judgement, spliceLimit } from './verdict.ts';

/** Differences past these are worth a word, in half-thousandths of a dB; common practice, no source. */
const BEND_HALF = 100;
const MISMATCH_HALF = 200;

/** How a loss is known, in words for a screen. */
export const GRADE_WORDS = {
  estimate: 'estimate',
  'one-way': 'one-way',
  insertion: 'insertion loss',
  'two-way': 'two-way mean',
} as const;

/** What a person's word did, for a sentence that goes on with who. */
const RULING_WORDS = {
  dead: 'Called dead',
  skip: 'Skipped',
  redo: 'Sent to redo',
  waive: 'Accepted',
} as const;

/**
 * Why a splice stands as it does, a short sentence each, the deciding one first. Empty where there is
 * nothing to say.
 */
export function reasonsFor(
  standing: Standing,
  judgement: Judgement,
  method: Method,
  limits: Limits,
): string[] {
  const { ruling } = standing;
  if (ruling && ruling.kind !== 'reopen' && ruling.kind !== 'retire')
    return [`${RULING_WORDS[ruling.kind]} by ${ruling.by}: ${ruling.why}`];
  const reasons: string[] = [];
  const { figure } = judgement;
  const limit = figure && spliceLimit(limits, figure.grade, method);
  if (judgement.redo && figure && limit !== null) {
    const at = figure.wavelengthNm === null ? '' : ` at ${figure.wavelengthNm} nm`;
    reasons.push(
      `${capital(GRADE_WORDS[figure.grade])} ${formatHalf(figure.half)} dB${at} is over ${formatLoss(limit!)}.`,
    );
  }
  const bend = bendReason(standing);
  if (bend) reasons.push(bend);
  else if (judgement.verdict === 'fail' && measuredTwoWay(standing) > 1)
    reasons.push('All wavelengths alike: the joint itself.');
  const said = standing.directions.map((both) => directionReason(both, judgement, method, limits));
  const first = said.find((reason) => reason !== null);
  if (first) reasons.push(first);
  if (judgement.redo && tryCount(judgement.tries, limits.maxTries).usedUp)
    reasons.push(triesWords(judgement.tries, limits.maxTries));
  return reasons;
}

/** How many tries a joint has had, and who decides on a further one. */
export function triesWords(used: number, most: number): string {
  if (!tryCount(used, most).usedUp) return `${used} of ${most} tries used.`;
  const past =
    used > most ? `${used} tries made, ${most} allowed` : `${used} of ${most} tries used`;
  return `${past}: needs the lead.`;
}

function bendReason({ figures }: Standing): string | null {
  const twoWay = figures.filter(
    (figure) => figure.grade === 'two-way' && figure.wavelengthNm !== null,
  );
  const short = twoWay[0];
  const long = twoWay.at(-1);
  if (!short || !long || long.half - short.half < BEND_HALF) return null;
  const excess = formatHalf(long.half - short.half);
  return `${long.wavelengthNm} nm is ${excess} above ${short.wavelengthNm} nm: look for a bend before breaking the joint.`;
}

const measuredTwoWay = ({ figures }: Standing): number =>
  figures.filter((figure) => figure.grade === 'two-way').length;

function directionReason(
  { wavelengthNm, AB, BA }: Directions,
  judgement: Judgement,
  method: Method,
  limits: Limits,
): string | null {
  if (AB !== null && BA !== null) {
    // Half the difference of the directions is the backscatter difference of the fibers.
    if (Math.abs(AB - BA) < MISMATCH_HALF) return null;
    const low = AB < BA ? 'A to B' : 'B to A';
    return `Directions differ by ${formatLoss(Math.abs(AB - BA))} dB at ${wavelengthNm} nm, ${low} low: mode fields differ. Only the mean counts.`;
  }
  const one = AB ?? BA;
  const limit = spliceLimit(limits, 'one-way', method);
  if (one === null || judgement.verdict !== 'provisional') return null;
  const other = AB === null ? 'A to B' : 'B to A';
  if (one < 0)
    return `One-way gain of ${formatLoss(-one)} dB at ${wavelengthNm} nm is no gain: measure ${other}.`;
  if (limit !== null && one > limit)
    return `One-way ${formatLoss(one)} dB at ${wavelengthNm} nm is high: measure ${other} before a redo.`;
  return null;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
