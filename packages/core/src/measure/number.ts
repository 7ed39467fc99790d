import { type Parsed, parsed, refused } from '../record/parsed.ts';

/**
 * What separators mean where a number is written.
 * - `point`: the point is decimal, commas part thousands: `4,200.5`.
 * - `comma`: the comma is decimal, points part thousands: `4.200,5`.
 * - `small`: figures are too small for thousands, such as losses: any separator is decimal.
 * - `either`: nothing tells; what could be both is asked.
 */
export type NumberStyle = 'point' | 'comma' | 'small' | 'either';

/** Why a number cannot be read. */
export type NumberProblem =
  | { code: 'noNumber' }
  /** What was typed can be either of two, written without doubt so. */
  | { code: 'twoNumbers'; text: string; whole: string; decimal: string };

/** Blanks that part thousands in print, and the many minus signs. */
const BLANKS = /[\u00a0\u2007\u2009\u202f]/g;
const MINUS = /^[\u2212\u2013\u2014]/;

/** A number as it stands in longer text: groups of three parted by one sign, or plain digits, with decimals. */
export const NUMBER_SOURCE = String.raw`\d{1,3}(?:[ ]\d{3})+(?:[.,]\d+)?(?!\d)|\d{1,3}(?:[.,']\d{3}(?!\d))+(?:[.,]\d+)?|\d+(?:[.,]\d*)?|[.,]\d+`;

/**
 * Reads a number as people write it: `4200`, `4 200`, `4,200`, `4.2`, `0,06`, `1.234,5`, `-0.1`.
 * @returns refused where it is no number, or where it means two and nothing tells which
 */
export function readNumber(text: string, style: NumberStyle): Parsed<number, NumberProblem> {
  const bare = text.trim().replace(BLANKS, ' ').replace(MINUS, '-');
  const [, sign, body] = /^([+-]?)\s*(.*)$/.exec(bare) ?? ['', '', ''];
  const plain = plainDigits(body!, style);
  if (!plain.ok) return plain;
  const value = Number(plain.value);
  return parsed(sign === '-' ? -value : value);
}

const NONE = { code: 'noNumber' } as const;

/** The digits with a decimal point and nothing between them. */
function plainDigits(body: string, style: NumberStyle): Parsed<string, NumberProblem> {
  if (!/\d/.test(body)) return refused(NONE);
  if (/^\d+$/.test(body)) return parsed(body);
  const separators = [...new Set(body.replace(/\d/g, ''))];
  if (separators.some((sign) => !" .,'".includes(sign))) return refused(NONE);
  if (separators.length > 2) return refused(NONE);
  if (separators.length === 2) return mixed(body, separators);
  const [sign] = separators as [string];
  const parts = body.split(sign);
  const grouped = parts[0]! !== '' && parts[0]!.length <= 3 && parts.slice(1).every(isThree);
  if (sign === ' ' || sign === "'") return grouped ? parsed(parts.join('')) : refused(NONE);
  if (parts.length > 2) return grouped ? parsed(parts.join('')) : refused(NONE);
  const [whole, after] = parts as [string, string];
  const decimal = `${whole === '' ? '0' : whole}.${after === '' ? '0' : after}`;
  // 0,015 and 1234,500 part no thousands.
  if (!grouped || Number(whole) === 0 || style === 'small') return parsed(decimal);
  const point = sign === '.';
  if (style === 'point') return parsed(point ? decimal : parts.join(''));
  if (style === 'comma') return parsed(point ? parts.join('') : decimal);
  // A point with three decimals is how instruments and files write; a comma may be either.
  if (point) return parsed(decimal);
  return refused({ code: 'twoNumbers', text: body, whole: parts.join(''), decimal });
}

const isThree = (part: string): boolean => /^\d{3}$/.test(part);

/** Two kinds of separators: the last one is decimal, the others part thousands. */
function mixed(body: string, separators: readonly string[]): Parsed<string, NumberProblem> {
  const last = [...body].findLast((letter) => separators.includes(letter))!;
  const other = separators.find((sign) => sign !== last)!;
  if (last === ' ' || last === "'") return refused(NONE);
  const [whole, after, more] = body.split(last);
  const groups = whole!.split(other);
  if (more !== undefined || groups[0]!.length > 3 || !groups.slice(1).every(isThree))
    return refused(NONE);
  return parsed(`${groups.join('')}.${after === '' ? '0' : after}`);
}
