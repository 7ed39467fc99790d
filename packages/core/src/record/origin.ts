import { z } from 'zod';

/**
 * Where a figure comes from.
 * - `instrument`: an instrument sent it, or wrote the file it was read from.
 * - `typed`: a person read it and typed it.
 * - `simulated`: one of Cordel's own simulators made it. Such figures live in practice projects only.
 */
export const ORIGINS = ['instrument', 'typed', 'simulated'] as const;
export const originSchema = z.enum(ORIGINS);
export type Origin = z.infer<typeof originSchema>;

/**
 * The origin of what follows from several figures: one that is simulated makes the whole simulated, one
 * that is typed makes it typed. Null where there are none.
 */
export function originOfAll(origins: Iterable<Origin>): Origin | null {
  let found: Origin | null = null;
  for (const origin of origins) {
    if (origin === 'simulated') return origin;
    if (found !== 'typed') found = origin;
  }
  return found;
}
