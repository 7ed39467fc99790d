import type { AskedFor } from './asked.ts';
import { type Values, fill } from './fill.ts';
import { register } from './register.ts';

/** A text with its code, and what it was filled with. */
export interface Sentence {
  readonly code: string;
  readonly parameters?: Values;
  readonly text: string;
}

/** Texts for whoever answers with code and parameters besides: what the server refuses, by keys that are its codes. */
export const problems = <const T extends Readonly<Record<string, string>>>(texts: T) => {
  register(texts);
  return <Key extends keyof T & string>(key: Key, ...[values]: AskedFor<T[Key]>): Sentence => ({
    code: key,
    ...(values && { parameters: values }),
    text: fill(texts[key]!, values),
  });
};
