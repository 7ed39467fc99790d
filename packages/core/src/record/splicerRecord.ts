import { z } from 'zod';
import { idSchema, personSchema, reasonSchema, timeSchema } from './basics.ts';
import { originSchema } from './origin.ts';
import { issue } from './issue.ts';

/** A figure as a splicer sent it: it is kept as it came, whether it makes sense or not. */
const raw = z.number().min(-1e6, issue('outOfRange')).max(1e6, issue('outOfRange')).nullable();

/** What a splicer stops or complains for. */
export const SPLICER_ERRORS = [
  'fiber too long',
  'past center',
  'cleave angle',
  'chip',
  'dirt',
  'offset',
  'not in groove',
  'gap',
  'tension',
  'heater',
] as const;
export type SplicerError = (typeof SPLICER_ERRORS)[number];

/** One fiber pair of a record as the splicer saw it. */
export const seenFiberSchema = z.object({
  /** Place in the holder, from 1. */
  position: z.int().min(1).max(24),
  /** Cleave angles of both ends, degrees. */
  cleaveLeft: raw,
  cleaveRight: raw,
  /** Offset of the cores, um. */
  offset: raw,
  /** Gap before the arc, um. */
  gap: raw,
  /** The picture as numbers: where core and edge lie on both sides, um from the axis of the splicer. */
  image: z.object({ coreLeft: raw, coreRight: raw, edgeLeft: raw, edgeRight: raw }).nullable(),
  /** The splicer's estimate in thousandths of a dB; null where no arc was made. */
  estimateMdb: raw,
  error: z.enum(SPLICER_ERRORS).nullable(),
});

/** One run of a splicer on what lay in its holder: an arc, or a stop before it. */
export const splicerRecordSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  splicerId: z.string().min(1).max(60),
  /** The splicer's own running number. */
  number: z.int().min(0).max(1e9),
  /** By the splicer's clock. */
  at: timeSchema,
  /** Closure or job as it was typed on the splicer, where it was. */
  label: z.string().max(80).nullable(),
  program: z.string().max(40),
  heater: z.string().max(40).nullable(),
  fibers: z.array(seenFiberSchema).min(1, issue('recordWithoutFibers')).max(24),
  /** Whether the arc was fired. */
  fused: z.boolean(),
  tension: z.enum(['passed', 'failed', 'off']).nullable(),
  /** Arcs on these electrodes so far, and the glass they fired at, um. */
  arcs: z.int().min(0).max(1e6),
  glass: z.int().min(80).max(1000),
  /** Degrees C, kPa and per cent as the splicer reads them. */
  temperature: raw,
  pressure: raw,
  humidity: raw,
  /** It was carried over in a file, and tells nothing of the line to the splicer. */
  isFromFile: z.boolean().optional(),
  /** Never typed: a splicer sends its records, or the simulated splicer makes them. */
  origin: originSchema.exclude(['typed']).default('instrument'),
});

/** What a person says of a record that belongs to no splice. */
export const setAsideSchema = z.object({
  id: idSchema,
  recordId: idSchema,
  by: personSchema,
  at: timeSchema,
  why: reasonSchema,
});

export type SeenFiber = z.infer<typeof seenFiberSchema>;
export type SplicerRecord = z.infer<typeof splicerRecordSchema>;
export type SetAside = z.infer<typeof setAsideSchema>;

/** A record as it is kept: with the moment it came in. */
export const keptRecordSchema = splicerRecordSchema.extend({ receivedAt: timeSchema });
export type KeptRecord = z.infer<typeof keptRecordSchema>;

/** A record with its place in the stream. */
export const receivedRecordSchema = keptRecordSchema.extend({ seq: z.int() });
export type ReceivedRecord = z.infer<typeof receivedRecordSchema>;
