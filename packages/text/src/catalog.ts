import type { Message, Parameter, Quantity, Units } from '@cordel/core';
import { fill } from './fill.ts';
import { register } from './register.ts';
import type { AskedNames, WithPlurals } from './asked.ts';
import { shown } from './shown.ts';

type Texts<M extends Message> = Readonly<Record<M['code'], string>>;

/** A text that asks for nothing its message lacks. What is inside plurals is checked when it is filled. */
type Fits<Text, Known> = Text extends WithPlurals
  ? Text
  : Text extends string
    ? [AskedNames<Text>] extends [Known]
      ? Text
      : `It has no parameter ${Exclude<AskedNames<Text>, Known> & string}`
    : never;

/** The messages that a code may have. */
type WithCode<M extends Message, Code> = M extends unknown
  ? Code extends M['code']
    ? M
    : never
  : never;

type Fitting<M extends Message, T extends Texts<M>> = {
  readonly [Code in keyof T]: Code extends M['code']
    ? Fits<T[Code], keyof WithCode<M, Code>>
    : never;
};

/** Messages whose parameter of that name has been made a text, for it is a message itself. */
export type WithText<M, Name extends string> = M extends { readonly [N in Name]: unknown }
  ? Omit<M, Name> & { readonly [N in Name]: string }
  : M;

/** Any parameter of any message. */
type ParameterOf<M> = M extends unknown ? M[keyof M] : never;

/** Units are asked for where a message has a figure that they show. */
type UnitsFor<M> = [Extract<ParameterOf<M>, Quantity>] extends [never]
  ? [units?: Units]
  : [units: Units];

/** Says a message in words. */
export type Say<M extends Message> = (message: M, ...units: UnitsFor<M>) => string;

/**
 * The texts of one union of messages, a text a code, in ICU MessageFormat
 * (https://unicode-org.github.io/icu/userguide/format_parse/messages/). A code without a text, a text without a code
 * and a text that asks for what its message lacks do not compile.
 */
export const catalog =
  <M extends Message>() =>
  <const T extends Texts<M>>(texts: T & Fitting<M, T>): Say<M> => {
    register(texts);
    return (message, ...[units]) => {
      const text = (texts as Texts<M>)[message.code as M['code']];
      const values = Object.entries(message as unknown as Record<string, Parameter>).map(
        ([name, value]) => [name, shown(value, units)],
      );
      return fill(text, Object.fromEntries(values));
    };
  };
