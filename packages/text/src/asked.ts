import type { Values } from './fill.ts';

/** A text whose parts depend on a count or a kind. */
export type WithPlurals = `${string}, ${'plural' | 'select'},${string}`;

/** What a text without plurals asks for: `{count} of {all}` has `count` and `all`. */
export type AskedNames<Text extends string> = Text extends `${string}{${infer Name}}${infer Rest}`
  ? Name | AskedNames<Rest>
  : never;

/** What a text must be given. */
export type AskedFor<Text extends string> = Text extends WithPlurals
  ? [values: Values]
  : [AskedNames<Text>] extends [never]
    ? []
    : [values: { readonly [Name in AskedNames<Text>]: string | number }];
