import { z } from 'zod';
import { issue } from './issue.ts';

/** Version of project documents that are written. */
export const DOCUMENT_VERSION = 5;

/**
 * UUID made by the client; version 7, so that ids sort by the time they were made. Small letters, as the database gives it
 * back, whatever it was written in.
 */
export const idSchema = z.uuidv7({ error: issue('notUuid7') }).toLowerCase();

/** A moment in UTC, as ISO 8601 with a Z. */
export const timeSchema = z.iso
  .datetime({
    precision: 3,
    error: issue('notUtcTime'),
  })
  .refine((text) => text >= '1970' && text < '2200', issue('timeOutside'));

export const nameSchema = z
  .string()
  .trim()
  .min(1, issue('nameMissing'))
  .max(80, issue('nameTooLong'));

/** Who did it, as the person signs. */
export const personSchema = z
  .string()
  .trim()
  .min(1, issue('personMissing'))
  .max(80, issue('nameTooLong'));

export const reasonSchema = z
  .string()
  .trim()
  .min(1, issue('reasonMissing'))
  .max(500, issue('reasonTooLong'));

/** A largest count for one cable; the biggest cables made today carry some thousands of fibers. */
export const MOST_FIBERS = 6912;
