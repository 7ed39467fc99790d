import { z } from 'zod';
import type { LinkVerdict } from '../links/judgeLink.ts';
import type { CircuitBudget } from '../loss/budget.ts';
import { VERDICTS, type Verdict } from '../loss/verdict.ts';
import { lossSchema } from '../record/message.ts';

/** What a fiber is proven by, from port to port. */
export interface FiberParts {
  splices: readonly { verdict: Verdict }[];
  /** Wavelengths that the project asks for, nm. */
  wavelengths: readonly number[];
  /** Wavelengths at which traces show it from both ends. */
  tracedNm: readonly number[];
  /** None where its length is not known. */
  budgets: readonly CircuitBudget[];
  /** How many bad findings its traces have. */
  badFindings: number;
  link: LinkVerdict;
}

/** Why a fiber is not proven, or not good. */
export const fiberReasonSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('splices'), verdict: z.enum(VERDICTS), splices: z.int() }),
  z.object({ code: z.literal('notMeasured'), wavelengthNm: z.int() }),
  z.object({ code: z.literal('lengthUnknown') }),
  z.object({ code: z.literal('overBudget'), wavelengthNm: z.int(), by: lossSchema }),
  z.object({
    code: z.literal('marginUnsure'),
    wavelengthNm: z.int(),
    left: lossSchema,
    error: lossSchema,
  }),
  z.object({ code: z.literal('findings'), findings: z.int() }),
  z.object({ code: z.enum(['linkOver', 'linkDiffers']), wavelengthNm: z.int() }),
]);
export type FiberReason = z.infer<typeof fiberReasonSchema>;

export const FIBER_VERDICTS = ['proven', 'not proven', 'fails'] as const;
export type FiberVerdict = (typeof FIBER_VERDICTS)[number];

const BAD: readonly Verdict[] = ['fail', 'dead'];
const OPEN: readonly Verdict[] = ['open', 'skipped', 'provisional'];

/**
 * Judges a fiber from port to port: it fails where anything is over its limit, and is proven where every splice passes and
 * each wavelength is measured both ways, by traces or by a meter, within its budget by more than what that may be off.
 */
export function fiberVerdict(parts: FiberParts): { verdict: FiberVerdict; reasons: FiberReason[] } {
  const { splices, wavelengths, tracedNm, budgets, badFindings, link } = parts;
  const bad: FiberReason[] = [];
  const open: FiberReason[] = [];
  for (const [list, verdicts] of [
    [bad, BAD],
    [open, OPEN],
  ] as const)
    for (const verdict of verdicts) {
      const count = splices.filter((splice) => splice.verdict === verdict).length;
      if (count > 0) list.push({ code: 'splices', verdict, splices: count });
    }
  if (badFindings > 0) bad.push({ code: 'findings', findings: badFindings });
  if (budgets.length === 0) open.push({ code: 'lengthUnknown' });
  for (const wavelengthNm of wavelengths) {
    const judged = link.judgements.find((one) => one.wavelengthNm === wavelengthNm);
    if (judged?.verdict === 'fail') bad.push({ code: 'linkOver', wavelengthNm });
    else if (judged && judged.agreement !== null && judged.agreement !== 'agrees')
      open.push({ code: 'linkDiffers', wavelengthNm });
    const budget = budgets.find((one) => one.wavelengthNm === wavelengthNm);
    const isMeasured = tracedNm.includes(wavelengthNm) || judged?.isTwoWay === true;
    if (!isMeasured) open.push({ code: 'notMeasured', wavelengthNm });
    if (!budget) continue;
    const { marginMdb, marginSigmaMdb } = budget;
    if (marginMdb < 0)
      bad.push({
        code: 'overBudget',
        wavelengthNm,
        by: { lossDb: -marginMdb / 1000, decimals: 2 },
      });
    else if (marginMdb < 2 * marginSigmaMdb && judged?.verdict !== 'pass')
      open.push({
        code: 'marginUnsure',
        wavelengthNm,
        left: { lossDb: marginMdb / 1000, decimals: 2 },
        error: { lossDb: (2 * marginSigmaMdb) / 1000, decimals: 2 },
      });
  }
  const verdict = bad.length > 0 ? 'fails' : open.length > 0 ? 'not proven' : 'proven';
  return { verdict, reasons: [...bad, ...open] };
}
