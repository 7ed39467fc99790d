import { z } from 'zod';

/** UUID made by the client; version 7, so that ids sort by the time they were made. */
export const idSchema = z.uuidv7({ error: 'An id must be a UUID of version 7.' });

/** A moment in UTC, as ISO 8601 with a Z. */
export const timeSchema = z.iso
  .datetime({
    precision: 3,
    error: 'A time must be ISO 8601 in UTC with milliseconds, such as 2026-05-04T20:15:00.000Z.',
  })
  .refine((text) => text >= '1970' && text < '2200', 'A time lies between 1970 and 2200.');

export const nameSchema = z
  .string()
  .trim()
  .min(1, 'Give it a name.')
  .max(80, 'Keep the name to 80 characters.');

/** Who did it, as the person signs. */
export const personSchema = z
  .string()
  .trim()
  .min(1, 'Say who: a name or initials.')
  .max(80, 'Keep the name to 80 characters.');

export const reasonSchema = z
  .string()
  .trim()
  .min(1, 'Say why.')
  .max(500, 'Keep the reason to 500 characters.');

/** A largest count for one cable; the biggest cables made today carry some thousands of fibers. */
export const MOST_FIBERS = 6912;
