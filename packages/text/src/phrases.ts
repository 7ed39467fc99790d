import type { AskedNames, WithPlurals } from './asked.ts';
import { type Values, fill } from './fill.ts';
import { register } from './register.ts';

/** What a text must be given. */
type Asked<Text extends string> = Text extends WithPlurals
  ? [values: Values]
  : [AskedNames<Text>] extends [never]
    ? []
    : [values: { readonly [Name in AskedNames<Text>]: string | number }];

/** The texts of a page, by keys of its own, in ICU MessageFormat. */
export const phrases = <const T extends Readonly<Record<string, string>>>(texts: T) => {
  register(texts);
  return <Key extends keyof T & string>(key: Key, ...[values]: Asked<T[Key]>): string =>
    fill(texts[key]!, values);
};
