import { z } from 'zod';
import { idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';

/** Past these no instrument reading is a splice loss; it is a slip of the hand. Thousandths of a dB. */
export const MOST_ESTIMATE = 5000;
export const MOST_READING = 10000;

const estimateSchema = z
  .int('An estimate is a whole number of thousandths of a dB.')
  .min(0, 'A splicer’s estimate is never below 0 dB.')
  .max(MOST_ESTIMATE, 'An estimate over 5 dB is no splice: check the decimal point.');

const measuredSchema = z
  .int('A loss is a whole number of thousandths of a dB.')
  .min(-MOST_READING, 'A gain over 10 dB is no splice: check the decimal point.')
  .max(MOST_READING, 'A loss over 10 dB is no splice: check the decimal point.');

const entry = {
  id: idSchema,
  spliceId: idSchema,
  by: personSchema,
  at: timeSchema,
};

/** A correction names the entry it supersedes and says why; `void` takes that entry back. */
const correction = {
  supersedes: idSchema.nullable(),
  void: z.boolean(),
  why: reasonSchema.nullable(),
};

type Correctable = { id: string; supersedes: string | null; void: boolean; why: string | null };

function checkCorrection(value: Correctable, context: z.RefinementCtx): void {
  if (value.supersedes === value.id) {
    context.addIssue({
      code: 'custom',
      path: ['supersedes'],
      message: 'An entry cannot supersede itself.',
    });
  }
  if (value.supersedes !== null && value.why === null) {
    context.addIssue({ code: 'custom', path: ['why'], message: 'A correction says why.' });
  }
  if (value.void && value.supersedes === null) {
    context.addIssue({
      code: 'custom',
      path: ['supersedes'],
      message: 'Say which entry is taken back.',
    });
  }
}

/** One arc on one joint, with the splicer's estimate. A new try opens its own `tryId`; a correction keeps it. */
export const attemptSchema = z
  .object({
    type: z.literal('attempt'),
    ...entry,
    tryId: idSchema,
    estimateMdb: estimateSchema.nullable(),
    /** The splicer's record the figure comes from, and the place in its holder; null where it was typed. */
    recordId: idSchema.nullable().default(null),
    recordPosition: z.int().min(1).max(12).nullable().default(null),
    origin: originSchema.default('typed'),
    ...correction,
  })
  .superRefine((attempt, context) => {
    checkCorrection(attempt, context);
    if ((attempt.recordId === null) !== (attempt.recordPosition === null)) {
      context.addIssue({
        code: 'custom',
        path: ['recordPosition'],
        message: 'A record goes with the place in its holder, and a place with its record.',
      });
    }
    if ((attempt.tryId === attempt.id) !== (attempt.supersedes === null)) {
      context.addIssue({
        code: 'custom',
        path: ['tryId'],
        message:
          'A new try carries its own id as tryId; a correction carries the id of the try it corrects.',
      });
    }
  });

/** A measured figure of the joint as the try named left it. `lossMdb` in thousandths of a dB, a gain below zero. */
export const readingSchema = z
  .object({
    type: z.literal('reading'),
    ...entry,
    tryId: idSchema.nullable(),
    grade: z.enum(['one-way', 'insertion', 'two-way']),
    direction: z.enum(['AB', 'BA']).nullable(),
    wavelengthNm: z.int().min(600, 'At least 600 nm.').max(1700, 'At most 1700 nm.'),
    lossMdb: measuredSchema,
    /** The trace it was read from; null where it was typed. */
    traceId: idSchema.nullable().default(null),
    origin: originSchema.default('typed'),
    ...correction,
  })
  .superRefine((reading, context) => {
    checkCorrection(reading, context);
    if ((reading.grade === 'one-way') !== (reading.direction !== null)) {
      context.addIssue({
        code: 'custom',
        path: ['direction'],
        message: 'A one-way reading names its direction, AB or BA; other readings have none.',
      });
    }
  });

const RULINGS = ['dead', 'skip', 'redo', 'waive', 'reopen', 'retire'] as const;

/**
 * A person's word on a splice.
 * - `dead`: the fiber is not used; nothing is spliced here.
 * - `skip`: put off, to be spliced later.
 * - `redo`: the joint as the try named left it is to be made again.
 * - `waive`: the lead accepts it as the try named left it.
 * - `reopen`: takes any of these back.
 * - `retire`: its joint was removed: it stays with all that is recorded of it, its fibers are free for
 *   others, and nothing takes that back.
 */
export const rulingSchema = z.object({
  type: z.literal('ruling'),
  ...entry,
  tryId: idSchema.nullable(),
  kind: z.enum(RULINGS),
  why: reasonSchema,
});

export const evidenceSchema = z.discriminatedUnion('type', [
  attemptSchema,
  readingSchema,
  rulingSchema,
]);

export type Attempt = z.infer<typeof attemptSchema>;
export type Reading = z.infer<typeof readingSchema>;
export type Ruling = z.infer<typeof rulingSchema>;
export type Evidence = z.infer<typeof evidenceSchema>;

/** The splices that evidence says were removed, each with the word that says so first. */
export function retirementsOf(evidence: readonly Evidence[]): Map<string, Ruling> {
  const retired = new Map<string, Ruling>();
  for (const entry of evidence)
    if (entry.type === 'ruling' && entry.kind === 'retire' && !retired.has(entry.spliceId))
      retired.set(entry.spliceId, entry);
  return retired;
}
