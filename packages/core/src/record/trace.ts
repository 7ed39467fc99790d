import { z } from 'zod';
import { MOST_FIBERS, idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';
import { issue } from './issue.ts';

/** `AB`: shot from the end where the circuit begins, the end of its first cable; `BA`: from the other. */
export const directionSchema = z.enum(['AB', 'BA']);
export type Direction = z.infer<typeof directionSchema>;

export const wavelengthSchema = z
  .int()
  .min(600, issue('wavelengthTooShort'))
  .max(1700, issue('wavelengthTooLong'));

/** SHA-256 in hexadecimal. */
export const digestSchema = z.string().regex(/^[0-9a-f]{64}$/, issue('notSha256'));

/**
 * Where a trace belongs, by a person's word: the fiber it was shot into, counted in any cable on its
 * way, from which end and at which wavelength. Appended; the last one counts. Without a cable the trace is
 * set aside.
 */
export const tracePlaceSchema = z
  .object({
    id: idSchema,
    traceId: idSchema,
    by: personSchema,
    at: timeSchema,
    cableId: idSchema.nullable(),
    fiber: z.int().min(1).max(MOST_FIBERS).nullable(),
    direction: directionSchema.nullable(),
    wavelengthNm: wavelengthSchema.nullable(),
    /** `reel`: shot on the reel before the cable was placed: the fiber of this cable alone. Null: as it is installed. */
    stage: z.literal('reel').nullable().default(null),
    why: reasonSchema.nullable(),
  })
  .superRefine((place, context) => {
    const parts = [place.cableId, place.fiber, place.direction, place.wavelengthNm];
    if (parts.some((part) => part === null) && parts.some((part) => part !== null))
      context.addIssue({
        code: 'custom',
        path: ['fiber'],
        message: issue('tracePlacePartial'),
      });
    if (place.cableId === null && place.why === null)
      context.addIssue({ code: 'custom', path: ['why'], message: issue('setAsideReasonMissing') });
  });

export type TracePlace = z.infer<typeof tracePlaceSchema>;

/** A trace file as a project document carries it: its bytes in base 64. */
export const keptTraceSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  name: z.string().min(1).max(200),
  digest: digestSchema,
  receivedAt: timeSchema,
  /** Never typed: an OTDR writes its files, or the simulated one does. */
  origin: originSchema.exclude(['typed']).default('instrument'),
  bytes: z.base64(),
});

export type KeptTrace = z.infer<typeof keptTraceSchema>;
