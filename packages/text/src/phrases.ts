import type { AskedFor } from './asked.ts';
import { fill } from './fill.ts';
import { register } from './register.ts';

/** The texts of a page, by keys of its own, in ICU MessageFormat. */
export const phrases = <const T extends Readonly<Record<string, string>>>(texts: T) => {
  register(texts);
  return <Key extends keyof T & string>(key: Key, ...[values]: AskedFor<T[Key]>): string =>
    fill(texts[key]!, values);
};
