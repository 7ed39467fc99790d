/** A text whose parts depend on a count or a kind. */
export type WithPlurals = `${string}, ${'plural' | 'select'},${string}`;

/** What a text without plurals asks for: `{count} of {all}` has `count` and `all`. */
export type AskedNames<Text extends string> = Text extends `${string}{${infer Name}}${infer Rest}`
  ? Name | AskedNames<Rest>
  : never;
