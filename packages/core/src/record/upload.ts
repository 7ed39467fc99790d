import { z } from 'zod';
import { digestSchema } from './trace.ts';

/** Bytes of a piece in which a file is sent. One that is not larger goes along with its record. */
export const PIECE_BYTES = 128 * 1024;

/** Bytes of the largest file that a record has. */
export const MOST_FILE_BYTES = 96 * 1024 * 1024;

/** A file that was sent in pieces before its record, by its content. */
export const uploadSchema = z.object({
  digest: digestSchema,
  /** In bytes. */
  size: z.int().min(1).max(MOST_FILE_BYTES),
});

export type Upload = z.infer<typeof uploadSchema>;
