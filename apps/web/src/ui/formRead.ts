/** What a form reads of its fields: a value, or words for the person who typed. */
export type FormRead<T> = { ok: true; value: T } | { ok: false; error: string };
