import { distance } from 'fastest-levenshtein';
import { z } from 'zod';
import { nameSchema } from '../record/basics.ts';

/** A name as a list writes it, and the name that is meant. */
export const sameNameSchema = z.object({ written: nameSchema, meant: nameSchema });
export type SameName = z.infer<typeof sameNameSchema>;

/** Names of closures and cables that a list writes otherwise than they are meant. */
export const sameNamesSchema = z.object({
  closures: z.array(sameNameSchema).max(2000).default([]),
  cables: z.array(sameNameSchema).max(2000).default([]),
});
export type SameNames = z.infer<typeof sameNamesSchema>;

export const NO_SAME_NAMES: SameNames = { closures: [], cables: [] };

/** The name that is meant by one that is written. */
export function meantBy(list: readonly SameName[]): (written: string) => string {
  const meant = new Map(list.map((one) => [one.written, one.meant]));
  return (written) => meant.get(written) ?? written;
}

const words = (name: string): string[] => name.toLowerCase().match(/\p{L}+|\d+/gu) ?? [];

/** Numbers and single letters tell names apart: `Pole 12` is not `Pole 13`, nor cable A cable B. */
const telling = (name: string): string =>
  words(name)
    .filter((word) => word.length === 1 || /\d/.test(word))
    .map((word) => word.replace(/^0+(?=\d)/, ''))
    .join(' ');

/** A name with what it is compared by. */
interface Compared {
  name: string;
  /** Without case, blanks, signs and zeros before a number. */
  bare: string;
  telling: string;
}

const compared = (name: string): Compared => ({
  name,
  bare: words(name)
    .map((word) => word.replace(/^0+(?=\d)/, ''))
    .join(' ')
    .replace(/(?<=\p{L}) (?=\p{L})/gu, ''),
  telling: telling(name),
});

/** Shorter names have no slips: one letter makes another name of them. */
const LEAST_LETTERS = 4;

const slipped = (a: Compared, b: Compared): boolean =>
  a.telling === b.telling &&
  Math.min(a.bare.length, b.bare.length) >= LEAST_LETTERS &&
  Math.abs(a.bare.length - b.bare.length) <= 1 &&
  distance(a.bare, b.bare) <= 1;

/** Whether two names differ by case, blanks and signs only, or by one letter of a longer name. */
export function areAlike(one: string, other: string): boolean {
  const [a, b] = [compared(one), compared(other)];
  return a.bare === b.bare || slipped(a, b);
}

/**
 * Names of a list that were likely meant as one that is known, or that stands further up in the list.
 * @param written in the order of the list, each once
 */
export function proposeSameNames(written: readonly string[], known: readonly string[]): SameName[] {
  const there = new Set(known);
  const byBare = new Map<string, Compared>();
  // Only names with the same numbers and single letters can be slips of one another.
  const byTelling = new Map<string, Compared[]>();
  const take = (one: Compared) => {
    if (!byBare.has(one.bare)) byBare.set(one.bare, one);
    const group = byTelling.get(one.telling);
    if (group) group.push(one);
    else byTelling.set(one.telling, [one]);
  };
  for (const name of known) take(compared(name));
  const proposals: SameName[] = [];
  for (const name of written) {
    if (there.has(name)) continue;
    const one = compared(name);
    const meant =
      byBare.get(one.bare) ?? byTelling.get(one.telling)?.find((other) => slipped(one, other));
    if (meant) proposals.push({ written: name, meant: meant.name });
    else take(one);
  }
  return proposals;
}
