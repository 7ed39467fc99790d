import { z } from 'zod';
import { MOST_FIBERS, idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { airSchema } from './instrumentLog.ts';
import { originSchema } from './origin.ts';
import { gaugeUnitSchema } from './units.ts';
import { type SchemaCode, issue } from './issue.ts';

/** Why a crew comes to a closure. All but the first come back to one that was closed before. */
export const PURPOSES = ['build', 'mend', 'new drop', 'cut-over', 'look'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** What can hurt somebody at a closure's place, before a tool is touched. */
export const HAZARDS = ['air', 'traffic', 'water', 'height', 'power'] as const;
export type Hazard = (typeof HAZARDS)[number];

/** What was seen at a place under soapy water. */
export const BUBBLES_SEEN = ['bubbles', 'none', 'not checked'] as const;
export type BubblesSeen = (typeof BUBBLES_SEEN)[number];

/** Over the barometric pressure, in pascals: up to 70 kPa, as no closure is tested higher. */
const gaugePa = z
  .int(issue('pressureNotWhole'))
  .min(-5000, issue('gaugeTooLow'))
  .max(70_000, issue('gaugeTooHigh'));

const key = z.string().trim().min(1).max(80);

const fiber = z.int().min(1).max(MOST_FIBERS);

const entry = {
  id: idSchema,
  closureId: idSchema,
  by: personSchema,
  at: timeSchema,
};

/** Words as a person read them, with the message that they were made of. Left out in records of before. */
const readSchema = z.object({
  code: z.string().min(1).max(60),
  parameters: z.record(z.string().max(60), z.unknown()),
  text: z.string().trim().min(1).max(600),
});
export type ReadWords = z.infer<typeof readSchema>;

/** A line drawn by a finger: x and y in turn, thousandths of the field's width and height. */
const strokeSchema = z.array(z.int().min(0).max(1000)).min(2).max(4000);

/**
 * What is done at a closure between opening and hand-over; appended, never changed.
 * - `visit`: a crew is there; whatever follows belongs to it until the next visit.
 * - `leave`: what was done, in words.
 * - `point`: a point of the closing list was checked, as it was read; the last word on it counts.
 * - `round`: pressurized for a pressure test, up to so much; `gauge`, `bubbles`, `mend` and `release`
 *   belong to it.
 * - `cut-over`: the order in which live fibers are cut over; `circuit` says when one went down and came back.
 * - `sign`: a person puts their name to what the digest names.
 */
export const closingEntrySchema = z
  .discriminatedUnion('kind', [
    z.object({
      kind: z.literal('visit'),
      ...entry,
      purpose: z.enum(PURPOSES),
      why: reasonSchema.nullable(),
      crew: z.array(personSchema).max(12),
      air: airSchema,
      sky: z.string().trim().max(60),
      instruments: z.array(z.string().min(1).max(60)).max(12),
      /** Hazards of the place that the crew saw, and looked after; left out where nobody was asked. */
      hazards: z.array(z.enum(HAZARDS)).max(HAZARDS.length).optional(),
      /** What is cut in a closure that was closed before is dark: how that was proven there, and who released it. */
      dark: z
        .object({
          detector: z.string().trim().min(1, issue('darkProofMissing')).max(200),
          releasedBy: personSchema,
        })
        .optional(),
    }),
    z.object({
      kind: z.literal('leave'),
      ...entry,
      done: z.string().trim().min(1, issue('doneMissing')).max(1000),
    }),
    z.object({
      kind: z.literal('point'),
      ...entry,
      point: key,
      read: readSchema.optional(),
      verdict: z.enum(['good', 'bad', 'waived']),
      why: reasonSchema.nullable(),
      /** Slots of a tray that are not as they should be. */
      slots: z.array(z.int().min(1).max(200)).max(200).default([]),
      photos: z.array(idSchema).max(6).default([]),
      /** What was written down for what the point asks, by the key of each. Left out where it asks for nothing. */
      answers: z.record(z.string().max(60), z.string().trim().max(200)).optional(),
    }),
    z.object({
      kind: z.literal('round'),
      ...entry,
      /** What the gauge is brought to, and what it must never pass. */
      targetPa: gaugePa,
      limitPa: gaugePa,
      unit: gaugeUnitSchema,
      /** The least step that the gauge shows. */
      stepPa: z.int().min(1).max(7000),
      /** Air pressure outside, pascals. */
      airPa: z.int().min(40_000).max(110_000),
    }),
    z.object({
      kind: z.literal('gauge'),
      ...entry,
      roundId: idSchema,
      gaugePa,
      /** Of the closure, degrees C; null where it was not read. */
      temperature: airSchema.shape.temperature,
      /** Minutes since it was pressurized, by the simulated clock; null where the moment itself tells. */
      minute: z
        .number()
        .min(0)
        .max(24 * 60)
        .nullable()
        .default(null),
      origin: originSchema.default('typed'),
    }),
    z.object({
      kind: z.literal('bubbles'),
      ...entry,
      roundId: idSchema,
      /** Ports and seams that were looked at. */
      places: z.array(key).min(1, issue('placesMissing')).max(60),
      /** What was seen there; `not checked` takes a mark back. The last word on a place counts. */
      seen: z.enum(BUBBLES_SEEN),
    }),
    z.object({
      kind: z.literal('release'),
      ...entry,
      roundId: idSchema,
      before: z.enum(['opening', 'mending', 'leaving']),
    }),
    z.object({
      kind: z.literal('mend'),
      ...entry,
      roundId: idSchema,
      place: key,
      what: z.string().trim().min(1, issue('repairMissing')).max(300),
    }),
    z.object({
      kind: z.literal('cut-over'),
      ...entry,
      /** In their order. */
      sleeves: z
        .array(
          z.object({ fibers: z.array(fiber).min(1).max(24), minutes: z.number().gt(0).max(240) }),
        )
        .min(1)
        .max(864),
      circuits: z
        .array(
          z.object({
            name: key,
            fibers: z.array(fiber).min(1).max(864),
            weight: z.int().min(1).max(1000),
          }),
        )
        .min(1)
        .max(200),
      /** When the first break is to be. */
      start: timeSchema,
    }),
    z.object({
      kind: z.literal('circuit'),
      ...entry,
      cutOverId: idSchema,
      circuit: key,
      state: z.enum(['down', 'up']),
    }),
    z.object({
      kind: z.literal('sign'),
      ...entry,
      role: z.enum(['technician', 'lead']),
      /** SHA-256 of the closure's record in canonical form, as hexadecimal digits. */
      digest: z.string().regex(/^[0-9a-f]{64}$/, issue('notSha256')),
      /** None where the name was typed in place of a drawing. */
      strokes: z.array(strokeSchema).max(60),
      isTyped: z.boolean().optional(),
      /** What the person was shown, line by line. */
      read: z.array(readSchema).max(1000).optional(),
    }),
  ])
  .superRefine((value, context) => {
    const complain = (path: string, message: SchemaCode) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (value.kind === 'visit' && value.purpose !== 'build' && value.why === null)
      complain('why', 'reopeningReasonMissing');
    if (value.kind === 'point' && value.verdict === 'waived' && value.why === null)
      complain('why', 'waiverReasonMissing');
    if (value.kind === 'sign' && value.strokes.length === 0 && !value.isTyped)
      complain('strokes', 'signatureMissing');
    if (value.kind === 'round' && value.targetPa > value.limitPa)
      complain('targetPa', 'targetOverLimit');
  });

export type ClosingEntry = z.infer<typeof closingEntrySchema>;
export type EntryOf<Kind extends ClosingEntry['kind']> = Extract<ClosingEntry, { kind: Kind }>;

/** Longest side of a photo that is kept, pixels, and the most bytes of it. */
export const PHOTO_SIDE = 1600;
export const PHOTO_BYTES = 700_000;

/** A photo kept with the record: JPEG, as base 64. */
export const photoSchema = z.object({
  id: idSchema,
  closureId: idSchema,
  by: personSchema,
  at: timeSchema,
  width: z.int().min(1).max(PHOTO_SIDE),
  height: z.int().min(1).max(PHOTO_SIDE),
  bytes: z
    .base64('The bytes of a photo are base 64.')
    .max(Math.ceil((PHOTO_BYTES * 4) / 3) + 4, issue('photoTooLarge')),
});

export type Photo = z.infer<typeof photoSchema>;

/** A closure's record as it was signed: canonical JSON, and the digest that names it. */
export const signedRecordSchema = z.object({
  closureId: idSchema,
  digest: z.string().regex(/^[0-9a-f]{64}$/),
  content: z.string(),
});

export type SignedRecord = z.infer<typeof signedRecordSchema>;
