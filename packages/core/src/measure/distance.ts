import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { DistanceUnit, LengthUnit } from '../record/units.ts';
import { NUMBER_SOURCE, type NumberProblem, type NumberStyle, readNumber } from './number.ts';

/**
 * Tenths of a millimeter in each unit. Exact: the foot is 0.3048 m and the mile 1609.344 m by the
 * international yard and pound agreement of 1959.
 */
const TENTHS = {
  mm: 10,
  cm: 100,
  m: 10_000,
  km: 10_000_000,
  in: 254,
  ft: 3048,
  mi: 16_093_440,
} as const;
type Unit = keyof typeof TENTHS;

/** How units are written, in small letters. */
const UNIT_WORDS: Record<string, Unit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  meter: 'm',
  meters: 'm',
  metre: 'm',
  metres: 'm',
  km: 'km',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  mi: 'mi',
  mile: 'mi',
  miles: 'mi',
};

const IMPERIAL: readonly Unit[] = ['in', 'ft', 'mi'];

/** Numbers in feet, inches and miles are written with a decimal point; elsewhere nothing tells. */
const styleOf = (unit: Unit): NumberStyle => (IMPERIAL.includes(unit) ? 'point' : 'either');

const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Curly primes, blanks of print and fractions of one letter as plain ones. */
const plain = (text: string): string =>
  text
    .trim()
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/''/g, '"')
    .replace(/[\u2018\u2019\u2032\u00b4]/g, "'")
    .replace(/[\u201c\u201d\u2033]/g, '"')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (letter) => ` ${FRACTIONS[letter]}`)
    .trim();

const WORDS = Object.keys(UNIT_WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|');

/** A fraction, a number or a mixed number, and its unit: `3/8`, `12.4`, `5 1/4`, `5-1/4"`. */
const PART = new RegExp(
  `^(?:(\\d+)/(\\d+)|(${NUMBER_SOURCE})(?:[ -]+(\\d+)/(\\d+))?)\\s*(${WORDS})?(?![a-z])\\.?`,
  'i',
);

/** Why a distance cannot be read. */
export type DistanceProblem =
  | NumberProblem
  | { code: 'typeDistance'; unit: DistanceUnit | LengthUnit }
  | { code: 'noDistance'; text: string; unit: DistanceUnit | LengthUnit }
  | { code: 'negativeDistance' }
  | { code: 'overZero' };

/**
 * Reads a distance as whole tenths of a millimeter: `12.4 km`, `133mm`, `5 1/4 in`, `5' 3 1/2"`, `4,200 ft`.
 * @param unit the unit meant where none is typed
 * @param style what separators mean; by the unit where it is left out
 */
export function parseDistance(
  text: string,
  unit: DistanceUnit | 'mm' | 'in',
  style?: NumberStyle,
): Parsed<number, DistanceProblem> {
  let rest = plain(text);
  if (rest === '') return refused({ code: 'typeDistance', unit });
  if (rest.startsWith('-')) return refused({ code: 'negativeDistance' });
  const wrong = refused({ code: 'noDistance', text: text.trim(), unit });
  let tenths = 0;
  let before: Unit | null = null;
  while (rest !== '') {
    const match = PART.exec(rest);
    if (!match) return wrong;
    const [all, over, under, whole, above, below, suffix] = match;
    // Inches follow feet without their name; else a second number without a unit means nothing.
    const named: Unit = suffix ? UNIT_WORDS[suffix.toLowerCase()]! : before === 'ft' ? 'in' : unit;
    const smaller = before === null || TENTHS[named] < TENTHS[before];
    const mixed = before !== null && IMPERIAL.includes(named) !== IMPERIAL.includes(before);
    if (!smaller || mixed || (!suffix && before !== null && before !== 'ft')) return wrong;
    if (Number(under ?? below ?? 1) === 0) return refused({ code: 'overZero' });
    const number = whole === undefined ? parsed(0) : readNumber(whole, style ?? styleOf(named));
    if (!number.ok) return number;
    tenths +=
      (number.value + Number(over ?? above ?? 0) / Number(under ?? below ?? 1)) * TENTHS[named];
    before = named;
    rest = rest.slice(all.length).trim();
  }
  return parsed(Math.round(tenths));
}

/** Decimals to which a distance is shown as it was typed, and those a longer one is rounded to. */
const SHOWN = { km: [3, 1], mi: [3, 1], m: [1, 0], ft: [1, 0] } as const;

/**
 * Prints tenths of a millimeter in the project's unit: as typed where a few decimals do (1.25 mi stays so),
 * else rounded.
 */
export function formatDistance(tenths: number, unit: DistanceUnit): string {
  const value = tenths / TENTHS[unit];
  const [most, usual] = SHOWN[unit];
  const scale = 10 ** most;
  const asTyped = Math.abs(value * scale - Math.round(value * scale)) < 1e-6;
  if (!asTyped) return `${grouped(value, usual)} ${unit}`;
  const trimmed = String(Number(value.toFixed(most)));
  const decimals = trimmed.split('.')[1]?.length ?? 0;
  return `${grouped(value, Math.max(usual, decimals))} ${unit}`;
}

/** Prints a distance for a form, with no figure lost: as many decimals as the unit needs. */
export function spellDistance(tenths: number, unit: DistanceUnit): string {
  const value = (tenths / TENTHS[unit]).toFixed(7);
  return `${value.replace(/\.?0+$/, '')} ${unit}`;
}

/** A number with so many decimals, its thousands apart: `11,088`. */
export const grouped = (value: number, decimals: number): string =>
  value.toLocaleString('en', { minimumFractionDigits: decimals, maximumFractionDigits: decimals });

const metersIn = (unit: DistanceUnit): number => TENTHS[unit] / TENTHS.m;

/** The small unit that goes with a project's distances: m with km, ft with mi. */
export const tapeUnitOf = (unit: DistanceUnit): 'm' | 'ft' =>
  unit === 'km' || unit === 'm' ? 'm' : 'ft';

/** A whole number of m or ft, for what a person walks or measures along a cable. */
export function formatMeters(meters: number, unit: DistanceUnit, decimals = 0): string {
  const tape = tapeUnitOf(unit);
  return `${grouped(meters / metersIn(tape), decimals)} ${tape}`;
}

/** A length of m or ft with what it may be off by: `340 \u00b1 5 m`. Both in meters. */
export function formatWithError(meters: number, error: number, unit: DistanceUnit): string {
  const tape = tapeUnitOf(unit);
  const inTape = (value: number) => grouped(value / metersIn(tape), 0);
  return `${inTape(meters)} \u00b1 ${inTape(error)} ${tape}`;
}

/** Decimals with which a place along a trace is told to the meter, and a range roughly. */
const PLACE_DECIMALS = { km: 3, mi: 3, m: 0, ft: 0 } as const;
const RANGE_DECIMALS = { km: 1, mi: 1, m: 0, ft: 0 } as const;

/** A place along a trace, to about a meter: `12.345 km`, `7.671 mi`, `40,502 ft`. */
export const formatPlace = (meters: number, unit: DistanceUnit): string =>
  `${grouped(meters / metersIn(unit), PLACE_DECIMALS[unit])} ${unit}`;

/** A length of fiber, roughly: `12.3 km`, `7.7 mi`. */
export const formatRange = (meters: number, unit: DistanceUnit): string =>
  `${grouped(meters / metersIn(unit), RANGE_DECIMALS[unit])} ${unit}`;
