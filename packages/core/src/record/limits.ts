import { z } from 'zod';
import { issue } from './issue.ts';

/**
 * How a loss is known, weakest first: the splicer's estimate, one direction of an OTDR, a power
 * meter's insertion loss, the mean of both OTDR directions.
 */
export const GRADES = ['estimate', 'one-way', 'insertion', 'two-way'] as const;
export const gradeSchema = z.enum(GRADES);
export type Grade = z.infer<typeof gradeSchema>;

/** Rank of a grade; a higher one is stronger evidence. */
export const gradeRank = (grade: Grade): number => GRADES.indexOf(grade);

/** A limit in whole thousandths of a dB; null where the project sets none. */
const limitSchema = z
  .int(issue('limitNotWhole'))
  .min(1, issue('limitNotPositive'))
  .max(5000, issue('limitTooLarge'))
  .nullable();

const bySleeve = z.object({ single: limitSchema, mass: limitSchema });

/** What a project accepts. Losses in whole thousandths of a dB, wavelengths in nm. */
export const limitsSchema = z
  .object({
    name: z.string().trim().min(1, issue('limitsNameMissing')).max(80),
    /** Where the figures come from. */
    source: z.string().trim().min(1, issue('sourceMissing')).max(500),
    /** The largest loss of one splice, by how it is known and how it was fused. */
    splice: z.object({
      estimate: bySleeve,
      'one-way': bySleeve,
      insertion: bySleeve,
      'two-way': bySleeve,
    }),
    /**
     * The largest loss of an end as a power meter reads it: a mechanical connector, and one that is fused to its fiber.
     * TIA-568, from memory: 0.75 dB a connector pair; mechanical ends of 0.1 to 0.5 dB are common practice, no source.
     */
    ends: z
      .object({ mechanical: limitSchema, fused: limitSchema })
      .default({ mechanical: 500, fused: 750 }),
    /** The largest mean over a fiber's, a tray's or a closure's splices. */
    mean: z.object({ fiber: limitSchema, tray: limitSchema, closure: limitSchema }),
    /** The weakest grade that accepts a splice. */
    grade: gradeSchema,
    maxTries: z.int().min(1, issue('attemptsTooFew')).max(10, issue('attemptsTooMany')),
    wavelengths: z
      .array(z.int().min(600, issue('wavelengthTooShort')).max(1700, issue('wavelengthTooLong')))
      .min(1, issue('wavelengthMissing'))
      .max(6, issue('wavelengthsTooMany'))
      .refine((list) => new Set(list).size === list.length, issue('wavelengthTwice')),
  })
  .superRefine((limits, context) => {
    if (limits.splice[limits.grade].single === null && limits.splice[limits.grade].mass === null) {
      context.addIssue({
        code: 'custom',
        path: ['grade'],
        message: issue('spliceLimitMissing'),
        params: { grade: limits.grade },
      });
    }
  });

export type Limits = z.infer<typeof limitsSchema>;
export type GroupKind = keyof Limits['mean'];
