import { z } from 'zod';
import { GRADES, type Limits } from '../record/limits.ts';
import { tryCount } from './spliceStage.ts';
import { type Directions, type SpliceState } from './spliceState.ts';
import { type JointKind, type Judgement, endNeeds, spliceLimit } from './verdict.ts';

/** Differences past these are worth a word, in half-thousandths of a dB; common practice, no source. */
const BEND_HALF = 100;
const MISMATCH_HALF = 200;

const directionSchema = z.enum(['AB', 'BA']);
const mdbSchema = z.object({ lossMdb: z.int() });
const halfSchema = z.object({ lossHalfMdb: z.int() });
const over = { grade: z.enum(GRADES), loss: halfSchema, limit: mdbSchema };

/** How many tries a joint has had; `triesUsedUp` and `triesPast` need the lead. */
const triesSchema = z.object({
  code: z.enum(['tries', 'triesUsedUp', 'triesPast']),
  used: z.int(),
  most: z.int(),
});
export type TriesMessage = z.infer<typeof triesSchema>;

/** Why a splice stands as it does. */
export const spliceReasonSchema = z.discriminatedUnion('code', [
  /** A person's ruling, with who and why. */
  z.object({ code: z.enum(['dead', 'skip', 'redo', 'waive']), by: z.string(), why: z.string() }),
  z.object({ code: z.literal('over'), ...over }),
  z.object({ code: z.literal('overAt'), ...over, wavelengthNm: z.int() }),
  /** More at the long wavelength than at the short one. */
  z.object({ code: z.literal('bend'), longNm: z.int(), shortNm: z.int(), excess: halfSchema }),
  z.object({ code: z.literal('jointItself') }),
  /** Of an end: its face failed, or no light comes through. */
  z.object({ code: z.enum(['faceFailed', 'noLight']) }),
  /** Of an end: what is still to be seen before it is proven. */
  z.object({ code: z.enum(['needsLight', 'needsFace', 'needsLightAndFace']) }),
  z.object({
    code: z.literal('directionsDiffer'),
    difference: mdbSchema,
    wavelengthNm: z.int(),
    low: directionSchema,
  }),
  /** A gain or a high loss one way: the other direction is to be measured. */
  z.object({
    code: z.enum(['oneWayGain', 'oneWayHigh']),
    loss: mdbSchema,
    wavelengthNm: z.int(),
    measure: directionSchema,
  }),
  triesSchema,
]);
export type SpliceReason = z.infer<typeof spliceReasonSchema>;

/**
 * Why a splice stands as it does, the deciding reason first. Empty where there is nothing to say.
 */
export function reasonsFor(
  spliceState: SpliceState,
  judgement: Judgement,
  joint: JointKind,
  limits: Limits,
): SpliceReason[] {
  const { ruling } = spliceState;
  if (ruling && ruling.kind !== 'reopen' && ruling.kind !== 'retire')
    return [{ code: ruling.kind, by: ruling.by, why: ruling.why }];
  const reasons: SpliceReason[] = [];
  const { figure } = judgement;
  const limit = figure && spliceLimit(limits, figure.grade, joint);
  if (judgement.redo && figure && limit !== null) {
    const { grade, wavelengthNm } = figure;
    const over = { grade, loss: { lossHalfMdb: figure.lossHalfMdb }, limit: { lossMdb: limit! } };
    reasons.push(
      wavelengthNm === null ? { code: 'over', ...over } : { code: 'overAt', ...over, wavelengthNm },
    );
  }
  reasons.push(...endReasons(spliceState, judgement, joint));
  const bend = bendReason(spliceState);
  if (bend) reasons.push(bend);
  else if (judgement.verdict === 'fail' && joint.end === null && measuredTwoWay(spliceState) > 1)
    reasons.push({ code: 'jointItself' });
  const first = spliceState.directions
    .map((both) => directionReason(both, judgement, joint, limits))
    .find((reason) => reason !== null);
  if (first) reasons.push(first);
  if (judgement.redo && tryCount(judgement.tries, limits.maxTries).usedUp)
    reasons.push(triesMessage(judgement.tries, limits.maxTries));
  return reasons;
}

/** How many tries a joint has had, and who decides on a further one. */
export function triesMessage(used: number, most: number): TriesMessage {
  if (!tryCount(used, most).usedUp) return { code: 'tries', used, most };
  return { code: used > most ? 'triesPast' : 'triesUsedUp', used, most };
}

function endReasons(
  spliceState: SpliceState,
  { verdict }: Judgement,
  joint: JointKind,
): SpliceReason[] {
  if (joint.end === null) return [];
  const { face, light } = spliceState.inspection;
  if (face === 'fail') return [{ code: 'faceFailed' }];
  if (light === 'none') return [{ code: 'noLight' }];
  if (verdict !== 'provisional') return [];
  const needs = endNeeds(spliceState, joint);
  if (needs.light) return [{ code: needs.face ? 'needsLightAndFace' : 'needsLight' }];
  return needs.face ? [{ code: 'needsFace' }] : [];
}

function bendReason({ figures }: SpliceState): SpliceReason | null {
  const twoWay = figures.filter(
    (figure) => figure.grade === 'two-way' && figure.wavelengthNm !== null,
  );
  const short = twoWay[0];
  const long = twoWay.at(-1);
  if (!short || !long || long.lossHalfMdb - short.lossHalfMdb < BEND_HALF) return null;
  return {
    code: 'bend',
    longNm: long.wavelengthNm!,
    shortNm: short.wavelengthNm!,
    excess: { lossHalfMdb: long.lossHalfMdb - short.lossHalfMdb },
  };
}

const measuredTwoWay = ({ figures }: SpliceState): number =>
  figures.filter((figure) => figure.grade === 'two-way').length;

function directionReason(
  { wavelengthNm, AB, BA }: Directions,
  judgement: Judgement,
  joint: JointKind,
  limits: Limits,
): SpliceReason | null {
  if (AB !== null && BA !== null) {
    // Half the difference of the directions is the backscatter difference of the fibers.
    if (Math.abs(AB - BA) < MISMATCH_HALF) return null;
    return {
      code: 'directionsDiffer',
      difference: { lossMdb: Math.abs(AB - BA) },
      wavelengthNm,
      low: AB < BA ? 'AB' : 'BA',
    };
  }
  const one = AB ?? BA;
  const limit = spliceLimit(limits, 'one-way', joint);
  if (one === null || judgement.verdict !== 'provisional') return null;
  const measure = AB === null ? 'AB' : 'BA';
  if (one < 0) return { code: 'oneWayGain', loss: { lossMdb: -one }, wavelengthNm, measure };
  if (limit !== null && one > limit)
    return { code: 'oneWayHigh', loss: { lossMdb: one }, wavelengthNm, measure };
  return null;
}
