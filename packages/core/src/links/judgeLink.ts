import { z } from 'zod';
import type { CircuitBudget } from '../loss/budget.ts';
import { lossSchema } from '../record/message.ts';
import type { LinkLoss, LinkState } from './linkState.ts';

/**
 * How far a meter's figure of the same link spreads from mating to mating of its cords, thousandths of a dB, one
 * standard deviation. Common practice, no source.
 */
const METER_SIGMA_MDB = 100;

/** Excess that no repair is worth looking for, thousandths of a dB. */
const LEAST_EXCESS_MDB = 150;

/** An excess that no connector, splice or bend alone makes while light still comes through it: thousandths of a dB. */
const FAR_TOO_MUCH_MDB = 10_000;

/**
 * Less comes back from the fiber itself: a backscatter of S alpha_s / 2 alpha, about 0.0013 x 0.9 / 2 at 1310 nm, is
 * 32.3 dB down. What is stronger is a reflection. Thousandths of a dB.
 */
const LEAST_RETURN_LOSS_MDB = 30_000;

/** A link at one wavelength, measured against what it may lose and what its parts lose. Thousandths of a dB. */
export interface LinkJudgement {
  wavelengthNm: number;
  /** Half-thousandths: the mean of both directions, or the one that was measured. */
  lossHalfMdb: number;
  /** What connectors that the reference left out of it lose usually, half-thousandths; it counts besides. */
  leftOutHalfMdb: number;
  sigmaMdb: number;
  isTwoWay: boolean;
  /** Fiber, splices, splitters and connectors as they are known otherwise; null where the circuit's length is not known. */
  parts: { lossMdb: number; sigmaMdb: number; by: 'traces' | 'splices'; limitMdb: number } | null;
  /** What is over the limit fails by one direction too; what is within passes by both. */
  verdict: 'pass' | 'fail' | 'one way' | 'no limit';
  /** How much it is over its limit, half-thousandths; null where it is not, or has none. */
  overHalfMdb: number | null;
  /** What was measured less the parts; null without parts. */
  excessMdb: number | null;
  agreement: 'agrees' | 'more' | 'less' | null;
}

/** What is likely where a link does not lose what its parts do, or is not as it should be. */
export const linkCauseSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('elsewhere'), fiber: z.int() }),
  z.object({ code: z.literal('noLight') }),
  z.object({ code: z.literal('reflection'), wavelengthNm: z.int(), returnLoss: lossSchema }),
  z.object({
    code: z.literal('bend'),
    longNm: z.int(),
    shortNm: z.int(),
    more: lossSchema,
  }),
  z.object({ code: z.literal('wrongFiber'), more: z.boolean() }),
  z.object({ code: z.literal('break'), excess: lossSchema }),
  z.object({ code: z.literal('oneEnd'), wavelengthNm: z.int(), difference: lossSchema }),
  z.object({ code: z.literal('connector'), excess: lossSchema }),
  z.object({ code: z.literal('connectorOrSplice'), excess: lossSchema }),
  z.object({ code: z.literal('reference'), less: lossSchema }),
  z.object({ code: z.literal('calibrationExpired'), meter: z.string(), until: z.string() }),
]);
export type LinkCause = z.infer<typeof linkCauseSchema>;

export interface LinkVerdict {
  judgements: LinkJudgement[];
  /** The likeliest first. */
  causes: LinkCause[];
}

/**
 * Measures a circuit's link against its budget and its parts, and says what is likely where they disagree.
 * @param budgets of the circuit, by wavelength; none where its length is not known
 * @param connectorMdb what a connector pair loses usually, thousandths of a dB
 */
export function judgeLink(
  state: LinkState,
  budgets: readonly CircuitBudget[],
  connectorMdb: number,
): LinkVerdict {
  const judgements = state.losses.flatMap((loss) => {
    const one = judgementOf(
      loss,
      budgets.find(({ wavelengthNm }) => wavelengthNm === loss.wavelengthNm),
      connectorMdb,
    );
    return one ? [one] : [];
  });
  return { judgements, causes: causesOf(state, judgements) };
}

function judgementOf(
  { wavelengthNm, AB, BA }: LinkLoss,
  budget: CircuitBudget | undefined,
  connectorMdb: number,
): LinkJudgement | null {
  const ways = [AB, BA].filter((way) => way !== null);
  if (ways.length === 0) return null;
  const isTwoWay = ways.length === 2;
  const halves = isTwoWay ? 1 : 2;
  const lossHalfMdb = halves * ways.reduce((total, { lossMdb }) => total + lossMdb, 0);
  const leftOutHalfMdb =
    halves * ways.reduce((total, { reference }) => total + (reference.cords - 1) * connectorMdb, 0);
  const sigmaMdb = METER_SIGMA_MDB / Math.sqrt(ways.length);
  const measured = { wavelengthNm, lossHalfMdb, leftOutHalfMdb, sigmaMdb, isTwoWay };
  if (!budget) {
    const verdict = isTwoWay ? 'no limit' : 'one way';
    return {
      ...measured,
      parts: null,
      verdict,
      overHalfMdb: null,
      excessMdb: null,
      agreement: null,
    };
  }
  const parts = {
    lossMdb: budget.measuredMdb ?? budget.madeMdb,
    sigmaMdb: budget.measuredSigmaMdb ?? budget.madeSigmaMdb,
    by: budget.measuredMdb === null ? ('splices' as const) : ('traces' as const),
    limitMdb: budget.limitMdb,
  };
  const wholeHalfMdb = lossHalfMdb + leftOutHalfMdb;
  const excessMdb = wholeHalfMdb / 2 - parts.lossMdb;
  const spread = 2 * Math.hypot(sigmaMdb, parts.sigmaMdb);
  const agrees = Math.abs(excessMdb) <= Math.max(spread, LEAST_EXCESS_MDB);
  const isOver = wholeHalfMdb > 2 * budget.limitMdb;
  return {
    ...measured,
    parts,
    verdict: isOver ? 'fail' : isTwoWay ? 'pass' : 'one way',
    overHalfMdb: isOver ? wholeHalfMdb - 2 * budget.limitMdb : null,
    excessMdb,
    agreement: agrees ? 'agrees' : excessMdb > 0 ? 'more' : 'less',
  };
}

const dB = (mdb: number) => ({ lossDb: Math.abs(mdb) / 1000, decimals: 2 });

function causesOf(state: LinkState, judgements: readonly LinkJudgement[]): LinkCause[] {
  const causes: LinkCause[] = [];
  const { continuity } = state;
  if (continuity?.seen === 'elsewhere')
    causes.push({ code: 'elsewhere', fiber: continuity.seenFiber! });
  if (continuity?.seen === 'none') causes.push({ code: 'noLight' });
  for (const { wavelengthNm, returnLoss } of state.losses) {
    const least = [returnLoss.AB, returnLoss.BA]
      .flatMap((way) => (way ? [way.lossMdb] : []))
      .reduce((low, one) => Math.min(low, one), Infinity);
    if (least < LEAST_RETURN_LOSS_MDB)
      causes.push({ code: 'reflection', wavelengthNm, returnLoss: dB(least) });
  }
  // Light that came out elsewhere says it all.
  if (continuity === null || continuity.seen === 'here')
    causes.push(...disagreements(state, judgements));
  const expired = state.losses
    .flatMap(({ AB, BA }) => [AB, BA])
    .find((way) => way?.isExpired === true);
  if (expired)
    causes.push({
      code: 'calibrationExpired',
      meter: expired.reference.meter,
      until: expired.reference.calibratedUntil!,
    });
  return causes;
}

/**
 * What a bend, fiber and a connector lose differs with the wavelength: a bend the more the longer it is, fiber the less
 * (0.34 and 0.20 dB/km at 1310 and 1550 nm, common practice), connectors and splices alike.
 */
function disagreements(state: LinkState, judgements: readonly LinkJudgement[]): LinkCause[] {
  const odd = judgements.filter(({ agreement }) => agreement === 'more' || agreement === 'less');
  if (odd.length === 0) return oneEnd(state, judgements);
  const worst = odd.reduce((most, one) =>
    Math.abs(one.excessMdb!) > Math.abs(most.excessMdb!) ? one : most,
  );
  const excess = worst.excessMdb!;
  if (excess > FAR_TOO_MUCH_MDB) return [{ code: 'break', excess: dB(excess) }];
  const known = judgements.filter(({ excessMdb }) => excessMdb !== null);
  const [short, long] = [known[0]!, known.at(-1)!];
  const rise = long.excessMdb! - short.excessMdb!;
  // Cords are mated once for both wavelengths and connectors are the same at both: what is left is the spread of the fiber.
  const sure = Math.max(LEAST_EXCESS_MDB, METER_SIGMA_MDB, Math.abs(excess) / 5);
  const differs = short !== long && Math.abs(rise) > sure;
  if (differs && excess > 0 && rise > 0)
    return [
      { code: 'bend', longNm: long.wavelengthNm, shortNm: short.wavelengthNm, more: dB(rise) },
    ];
  if (differs && excess > 0 === rise < 0) return [{ code: 'wrongFiber', more: excess > 0 }];
  if (excess < 0) return [{ code: 'reference', less: dB(excess) }];
  const ends = oneEnd(state, judgements);
  if (ends.length > 0) return ends;
  return [
    worst.parts!.by === 'traces'
      ? { code: 'connector', excess: dB(excess) }
      : { code: 'connectorOrSplice', excess: dB(excess) },
  ];
}

/** Directions that differ by more than a meter's figures do: one end's connector, or one reference. */
function oneEnd({ losses }: LinkState, judgements: readonly LinkJudgement[]): LinkCause[] {
  const apart = losses
    .filter(({ AB, BA }) => AB && BA)
    .map(({ wavelengthNm, AB, BA }) => ({ wavelengthNm, by: Math.abs(AB!.lossMdb - BA!.lossMdb) }))
    .sort((a, b) => b.by - a.by)[0];
  if (!apart || apart.by <= 4 * METER_SIGMA_MDB || judgements.length === 0) return [];
  return [{ code: 'oneEnd', wavelengthNm: apart.wavelengthNm, difference: dB(apart.by) }];
}
