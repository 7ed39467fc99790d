/** The outcome of reading something a person typed: a value, or words that say what would be right. */
export type Parsed<T> = { ok: true; value: T } | { ok: false; error: string };

export const parsed = <T>(value: T): Parsed<T> => ({ ok: true, value });
export const refused = (error: string): { ok: false; error: string } => ({ ok: false, error });
