import { z } from 'zod';
import { idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';
import { issue } from './issue.ts';

/** Past these no instrument reading is a splice loss; it is a slip of the hand. Thousandths of a dB. */
export const MOST_ESTIMATE = 5000;
export const MOST_READING = 10000;

const estimateSchema = z
  .int(issue('estimateNotWhole'))
  .min(0, issue('estimateNegative'))
  .max(MOST_ESTIMATE, issue('estimateTooLarge'));

const measuredSchema = z
  .int(issue('lossNotWhole'))
  .min(-MOST_READING, issue('gainTooLarge'))
  .max(MOST_READING, issue('lossTooLarge'));

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
      message: issue('supersedesItself'),
    });
  }
  if (value.supersedes !== null && value.why === null) {
    context.addIssue({ code: 'custom', path: ['why'], message: issue('correctionReasonMissing') });
  }
  if (value.void && value.supersedes === null) {
    context.addIssue({
      code: 'custom',
      path: ['supersedes'],
      message: issue('takenBackMissing'),
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
    recordPosition: z.int().min(1).max(24).nullable().default(null),
    origin: originSchema.default('typed'),
    ...correction,
  })
  .superRefine((attempt, context) => {
    checkCorrection(attempt, context);
    if ((attempt.recordId === null) !== (attempt.recordPosition === null)) {
      context.addIssue({
        code: 'custom',
        path: ['recordPosition'],
        message: issue('recordOrPlaceMissing'),
      });
    }
    if ((attempt.tryId === attempt.id) !== (attempt.supersedes === null)) {
      context.addIssue({
        code: 'custom',
        path: ['tryId'],
        message: issue('tryIdWrong'),
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
    wavelengthNm: z
      .int()
      .min(600, issue('wavelengthTooShort'))
      .max(1700, issue('wavelengthTooLong')),
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
        message: issue('directionWrong'),
      });
    }
  });

const marks = z.int().min(0).max(99);

/**
 * Marks on an end face through a microscope, counted in the zones in which a limit says how many may be there.
 * Zones, as circles around the core: IEC 61300-3-35, from memory.
 */
export const faceMarksSchema = z.object({
  /** Core, to 25 um across: any scratch, any defect. */
  coreScratches: marks,
  coreDefects: marks,
  /** Cladding, 25 to 120 um: scratches over 3 um wide, defects of 2 to 5 um, defects over 5 um. */
  claddingScratches: marks,
  claddingDefects: marks,
  claddingLargeDefects: marks,
  /** Contact, 130 to 250 um: defects of 10 um and over. Between it and the cladding lies the adhesive, without a limit. */
  contactDefects: marks,
});
export type FaceMarks = z.infer<typeof faceMarksSchema>;

/**
 * What was seen of an end as the try named left it: its end face through a microscope, and light through it.
 * Grades of an end face: IEC 61300-3-35, from memory.
 */
export const inspectionSchema = z
  .object({
    type: z.literal('inspection'),
    ...entry,
    tryId: idSchema.nullable(),
    face: z.enum(['pass', 'fail']).nullable(),
    light: z.enum(['seen', 'none']).nullable(),
    /** What the grade of the face was worked out from; null where a person or an instrument gave it. */
    marks: faceMarksSchema.nullable().default(null),
    /** How often the face was cleaned since it was looked at before; null where nobody counted. */
    cleanings: z.int().min(0).max(20, issue('cleaningsTooMany')).nullable().default(null),
    /** The picture that was taken of it, among the photos of the closure. */
    photoId: idSchema.nullable().default(null),
    origin: originSchema.default('typed'),
    ...correction,
  })
  .superRefine((inspection, context) => {
    checkCorrection(inspection, context);
    if (inspection.face === null && inspection.light === null)
      context.addIssue({ code: 'custom', path: ['face'], message: issue('inspectionEmpty') });
    if (inspection.face === null && (inspection.marks !== null || inspection.photoId !== null))
      context.addIssue({ code: 'custom', path: ['face'], message: issue('faceUngraded') });
  });

const RULINGS = ['dead', 'skip', 'redo', 'waive', 'reopen', 'retire'] as const;

/**
 * A person's word on a splice.
 * - `dead`: the fiber is not used; nothing is spliced here.
 * - `skip`: put off, to be spliced later.
 * - `redo`: the joint as the try named left it is to be redone.
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
  inspectionSchema,
  rulingSchema,
]);

export type Attempt = z.infer<typeof attemptSchema>;
export type Reading = z.infer<typeof readingSchema>;
export type Inspection = z.infer<typeof inspectionSchema>;
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
