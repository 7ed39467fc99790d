import { z } from 'zod';
import { idSchema, personSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';
import { issue } from './issue.ts';

/** What the air was like: degrees C, per cent, kPa. Null where it was not read. */
export const airSchema = z.object({
  temperature: z.number().min(-50, issue('tooCold')).max(60, issue('tooHot')).nullable(),
  humidity: z.number().min(0, issue('shareNegative')).max(100, issue('shareOver100')).nullable(),
  pressure: z
    .number()
    .min(40, issue('airPressureTooLow'))
    .max(110, issue('airPressureTooHigh'))
    .nullable(),
});

export type Air = z.infer<typeof airSchema>;

const entry = {
  id: idSchema,
  projectId: idSchema,
  instrumentId: z.string().min(1).max(60),
  by: personSchema,
  at: timeSchema,
};

/**
 * What was done to an instrument; appended, never changed.
 * - `session`: work began with it.
 * - `arc check`: one round; the last round of a check is the one that passed.
 * - `electrodes`, `blade`: cleaned, replaced or turned; counts start anew.
 * - `arcs`: arcs that no record of the splicer's line came of, such as a splice that was typed.
 * - `counter`: what the splicer's own counter of arcs says, as it was typed.
 */
export const instrumentEntrySchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('session'), ...entry }),
  z.object({
    kind: z.literal('arc check'),
    ...entry,
    /** Rounds of one check share its id. */
    checkId: idSchema,
    round: z.int().min(1).max(20),
    passed: z.boolean(),
    origin: originSchema.default('typed'),
    /** Arcs on the electrodes, as the splicer counts them. */
    arcs: z.int().min(0).max(1e6),
    air: airSchema,
  }),
  z.object({
    kind: z.literal('electrodes'),
    ...entry,
    what: z.enum(['cleaned', 'replaced']),
    arcs: z.int().min(0).max(1e6),
  }),
  z.object({ kind: z.literal('blade'), ...entry, what: z.enum(['turned', 'replaced']) }),
  z.object({ kind: z.literal('arcs'), ...entry, count: z.int().min(1).max(1000) }),
  z.object({ kind: z.literal('counter'), ...entry, arcs: z.int().min(0).max(1e6) }),
]);

export type InstrumentEntry = z.infer<typeof instrumentEntrySchema>;
