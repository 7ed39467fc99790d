import { digestOf } from '../record/canonical.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';

/** Digits of a short code: no I, L, O or U, which are misread. Source: Crockford's base 32 (from memory). */
const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const LENGTH = 7;

/** The check digit of Luhn's algorithm over 32 digits: it finds every single slip. Source: Luhn mod N (from memory). */
function checkDigit(digits: readonly number[]): number {
  let sum = 0;
  [...digits].reverse().forEach((digit, index) => {
    const part = index % 2 === 0 ? digit * 2 : digit;
    sum += Math.floor(part / 32) + (part % 32);
  });
  return (32 - (sum % 32)) % 32;
}

/** A closure's code for labels and for typing: seven digits that follow from its id, and one that checks them. */
export function shortCode(closureId: string): string {
  const digest = digestOf(closureId);
  const digits = Array.from({ length: LENGTH }, (_, index) => {
    // Five bits each.
    const bit = index * 5;
    const nibbles = parseInt(digest.slice(Math.floor(bit / 4), Math.floor(bit / 4) + 3), 16);
    return (nibbles >> (12 - 5 - (bit % 4))) & 31;
  });
  const text = [...digits, checkDigit(digits)].map((digit) => DIGITS[digit]).join('');
  return `${text.slice(0, 4)}-${text.slice(4)}`;
}

/** Why a short code cannot be read. */
export interface ShortCodeProblem {
  code: 'notEight' | 'checkFails';
}

/** Reads a code as it is typed: in any case, with or without its dash, with O for 0 and I or L for 1. */
export function parseCode(text: string): Parsed<string, ShortCodeProblem> {
  const bare = text.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1');
  const digits = [...bare].map((letter) => DIGITS.indexOf(letter));
  if (digits.length !== LENGTH + 1 || digits.includes(-1)) return refused({ code: 'notEight' });
  if (checkDigit(digits.slice(0, LENGTH)) !== digits[LENGTH])
    return refused({ code: 'checkFails' });
  return parsed(`${bare.slice(0, 4)}-${bare.slice(4)}`);
}
