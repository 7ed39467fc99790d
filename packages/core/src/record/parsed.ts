import type { Message } from './message.ts';

/** The outcome of reading something a person typed: a value, or what is wrong with it. */
export type Parsed<T, Problem extends Message = Message> =
  { ok: true; value: T } | { ok: false; error: Problem };

export const parsed = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });
export const refused = <const Problem extends Message>(
  error: Problem,
): { ok: false; error: Problem } => ({ ok: false, error });
