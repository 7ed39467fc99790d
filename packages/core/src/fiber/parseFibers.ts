import { type MakeUp, fiberCount } from '../record/cable.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { unitSize } from './address.ts';
import { type FiberProblem, dashed, parseFiber, unitKind } from './parse.ts';
import { placeOfColour } from './schemes.ts';

/** Whole tubes, ribbons or ports: `tube 2`, `T7`, `tubes 1-2`, `ribbon blue`, `ports 1-8`. */
const UNITS = /^(?:tubes?|t|ribbons?|rib|r|ports?|p)\s*([a-z]+|\d+)(?:\s*-\s*([a-z]+|\d+))?$/i;

/** A range at the end: `7-12`, `T7 F1-12`, `7/1-12`, `tube 7 1-12`, `fibers 7-12`. */
const RANGE = /^(.*?)(\d+)\s*-\s*(\d+)$/;

/**
 * Reads fibers as people write them, for one cable, in the order in which they are named: everything that
 * {@link parseFiber} reads, ranges (`7-12`, `T7 F1-12`), whole tubes and ribbons (`tube 2`, `ribbons 1-3`), and
 * several of these with commas between.
 * @returns the fibers' numbers in the cable
 */
export function parseFibers(
  text: string,
  makeUp: MakeUp,
  scheme: ColourScheme,
): Parsed<number[], FiberProblem> {
  const numbers: number[] = [];
  for (const part of dashed(text).split(/[,;+&]/)) {
    const read = readPart(part.trim(), makeUp, scheme);
    if (!read.ok) return read;
    numbers.push(...read.value);
  }
  const twice = numbers.find((number, index) => numbers.indexOf(number) < index);
  return twice === undefined ? parsed(numbers) : refused({ code: 'fiberTwice', number: twice });
}

function readPart(
  part: string,
  makeUp: MakeUp,
  scheme: ColourScheme,
): Parsed<number[], FiberProblem> {
  const units = UNITS.exec(part);
  if (units && hasUnits(makeUp)) {
    const [first, last] = [units[1]!, units[2] ?? units[1]!].map((word) => unitOf(word, scheme));
    if (first != null && last != null) return wholeUnits(first, last, makeUp);
  }
  const range = RANGE.exec(part);
  if (!range) {
    const one = parseFiber(part, makeUp, scheme);
    return one.ok ? parsed([one.value]) : one;
  }
  const [, before, from, to] = range as unknown as [string, string, string, string];
  const prefix = /^\s*(fib(er|re)s?|f|#)?\s*$/i.test(before) ? '' : before;
  const [first, last] = [from, to].map((number) =>
    parseFiber(`${prefix}${number}`, makeUp, scheme),
  );
  if (!first!.ok) return first!;
  if (!last!.ok) return last!;
  if (last!.value < first!.value)
    return refused({ code: 'rangeBackwards', prefix, from: to, to: from });
  return parsed(run(first!.value, last!.value));
}

const hasUnits = ({ kind }: MakeUp): boolean => kind !== 'drop' && kind !== 'splitter';

const unitOf = (word: string, scheme: ColourScheme): number | null =>
  /^\d+$/.test(word) ? Number(word) : placeOfColour(scheme, word);

function wholeUnits(first: number, last: number, makeUp: MakeUp): Parsed<number[], FiberProblem> {
  const size = unitSize(makeUp);
  const unit = unitKind(makeUp);
  const most = unitsIn(makeUp);
  const outside = [first, last].find((number) => number < 1 || number > most);
  if (outside !== undefined) return refused({ code: 'unitOutside', unit, number: outside, most });
  if (last < first) return refused({ code: 'unitsBackwards', unit, from: last, to: first });
  return parsed(run((first - 1) * size + 1, last * size));
}

const unitsIn = (makeUp: MakeUp): number => fiberCount(makeUp) / unitSize(makeUp);

const run = (first: number, last: number): number[] =>
  Array.from({ length: last - first + 1 }, (_, index) => first + index);

/** Numbers as they are written shortest: `1-6, 8`. */
export function spellFibers(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}-${to}`)).join(', ');
}
