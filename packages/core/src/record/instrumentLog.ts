import { z } from 'zod';
import { idSchema, personSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';

/** What the air was like: degrees C, per cent, kPa. Null where it was not read. */
export const airSchema = z.object({
  temperature: z
    .number()
    .min(-50, 'Colder than any site: check the unit, degrees C.')
    .max(60, 'Hotter than any site: check the unit, degrees C.')
    .nullable(),
  humidity: z.number().min(0, 'At least 0 %.').max(100, 'At most 100 %.').nullable(),
  pressure: z
    .number()
    .min(40, 'Lower than on any road: check the unit, kPa.')
    .max(110, 'Higher than anywhere: check the unit, kPa.')
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
]);

export type InstrumentEntry = z.infer<typeof instrumentEntrySchema>;
