import { z } from 'zod';
import { idSchema } from './basics.ts';
import { issue } from './issue.ts';

/** Most characters of a plan's lines. */
export const MOST_TEXT = 100_000;

/** A tube or ribbon that a person wants on a tray. */
export const pinSchema = z.object({
  /** The cable's name, as in the lines. */
  cable: z.string(),
  /** Number of the tube or ribbon in its cable. */
  unit: z.int().min(1),
  tray: z.int().min(1).max(200),
});

/** The splice plan of a closure: its lines as they are written, and how its trays are laid out. */
export const planSchema = z.object({
  closureId: idSchema,
  text: z.string().max(MOST_TEXT, issue('planTooLong')),
  pins: z.array(pinSchema).max(500),
  /** Places to keep free on each tray in use, where that costs neither a split nor a tray. */
  spare: z.int().min(0, issue('negative')).max(24, issue('over24SparePlaces')),
});

export type Pin = z.infer<typeof pinSchema>;
export type Plan = z.infer<typeof planSchema>;
