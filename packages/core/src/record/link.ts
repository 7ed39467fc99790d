import { z } from 'zod';
import { MOST_FIBERS, idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';
import { directionSchema, wavelengthSchema } from './trace.ts';
import { issue } from './issue.ts';

/** Past this no meter measures a link's loss: there is only noise. Thousandths of a dB. */
export const MOST_LINK_LOSS = 70_000;

/** Power in thousandths of a dBm: no source of the trade is stronger, no meter of it reads less. */
const powerSchema = z
  .int(issue('powerNotWhole'))
  .min(-90_000, issue('powerTooLow'))
  .max(30_000, issue('powerTooHigh'));

const linkLossSchema = z
  .int(issue('lossNotWhole'))
  .min(0, issue('linkLossNegative'))
  .max(MOST_LINK_LOSS, issue('linkLossTooLarge'));

const instrumentNameSchema = z
  .string()
  .trim()
  .min(1, issue('instrumentNameMissing'))
  .max(80, issue('nameTooLong'));

const entry = { id: idSchema, projectId: idSchema, by: personSchema, at: timeSchema };

/** The circuit that is measured, by a fiber of any cable on its way. */
const circuit = { cableId: idSchema, fiber: z.int().min(1).max(MOST_FIBERS) };

const correction = {
  origin: originSchema.default('typed'),
  supersedes: idSchema.nullable().default(null),
  void: z.boolean().default(false),
  why: reasonSchema.nullable().default(null),
};

/**
 * What a power meter and a light source tell of links from port to port; appended, never changed.
 * - `reference`: what the meter reads of the source through the test cords alone.
 * - `loss`: a link by a reference: the power that comes through, or the loss where the meter is set to show it.
 * - `return loss`: what of the light comes back from a link.
 * - `continuity`: where light came out that was put into a fiber.
 *
 * Losses and powers in thousandths of a dB and dBm. A direction is one of the circuit: `AB` has the source where it
 * begins. Source: IEC 61280-4-2, from memory.
 */
export const linkEntrySchema = z
  .discriminatedUnion('kind', [
    z.object({
      kind: z.literal('reference'),
      ...entry,
      source: instrumentNameSchema,
      meter: instrumentNameSchema,
      /** The last day on which the meter's calibration counts; null where it is not known. */
      calibratedUntil: z.iso.date(issue('notDate')).nullable(),
      wavelengthNm: wavelengthSchema,
      /**
       * Test cords between source and meter while it is taken. By one cord the link is measured with the connectors of
       * both its ends, by two with one of them, by three without.
       */
      cords: z.int().min(1).max(3),
      powerMdbm: powerSchema,
      origin: originSchema.default('typed'),
    }),
    z.object({
      kind: z.literal('loss'),
      ...entry,
      ...circuit,
      direction: directionSchema,
      referenceId: idSchema,
      powerMdbm: powerSchema.nullable(),
      lossMdb: linkLossSchema.nullable(),
      ...correction,
    }),
    z.object({
      kind: z.literal('return loss'),
      ...entry,
      ...circuit,
      direction: directionSchema,
      wavelengthNm: wavelengthSchema,
      meter: instrumentNameSchema,
      lossMdb: linkLossSchema,
      ...correction,
    }),
    z.object({
      kind: z.literal('continuity'),
      ...entry,
      ...circuit,
      direction: directionSchema,
      /** Where light came out: at the port that it should, at none, or at the port of another fiber of the cable. */
      seen: z.enum(['here', 'none', 'elsewhere']),
      seenFiber: z.int().min(1).max(MOST_FIBERS).nullable(),
      ...correction,
    }),
  ])
  .superRefine((value, context) => {
    const complain = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (value.kind === 'reference') return;
    if (value.void && value.supersedes === null) complain('supersedes', issue('takenBackMissing'));
    if (value.supersedes === value.id) complain('supersedes', issue('supersedesItself'));
    if (value.supersedes !== null && value.why === null)
      complain('why', issue('correctionReasonMissing'));
    if (value.kind === 'loss' && (value.powerMdbm === null) === (value.lossMdb === null))
      complain('powerMdbm', issue('powerOrLoss'));
    if (value.kind === 'continuity' && (value.seen === 'elsewhere') !== (value.seenFiber !== null))
      complain('seenFiber', issue('seenFiberWrong'));
  });

/** What an entry has that is typed and corrects no other. */
export const UNCORRECTED = { origin: 'typed', supersedes: null, void: false, why: null } as const;

export type LinkEntry = z.infer<typeof linkEntrySchema>;
export type LinkEntryOf<Kind extends LinkEntry['kind']> = Extract<LinkEntry, { kind: Kind }>;
export type Reference = LinkEntryOf<'reference'>;
