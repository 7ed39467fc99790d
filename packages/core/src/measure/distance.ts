import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { DistanceUnit } from '../record/project.ts';

/**
 * Tenths of a millimeter in each unit. Exact: the foot is 0.3048 m and the mile 1609.344 m by the
 * international yard and pound agreement of 1959.
 */
const TENTHS: Record<string, number> = {
  mm: 10,
  cm: 100,
  m: 10_000,
  km: 10_000_000,
  in: 254,
  ft: 3048,
  mi: 16_093_440,
};

const WORDS: Record<string, string> = { '"': 'in', "'": 'ft', '\u2032': 'ft', '\u2033': 'in' };

/** A fraction, a number or a mixed number, and its unit: `3/8`, `12.4`, `5 1/4`. */
const PART =
  /^(?:(\d+)\/(\d+)|(\d+(?:\.\d+)?|\.\d+)(?:\s+(\d+)\/(\d+))?)\s*(km|cm|mm|mi|m|ft|in|'|"|\u2032|\u2033)?/i;

/**
 * Reads a distance as whole tenths of a millimeter: `12.4 km`, `133mm`, `5 1/4 in`, `5' 3 1/2"`.
 * @param unit the unit meant where none is typed
 */
export function parseDistance(text: string, unit: DistanceUnit | 'mm' | 'in'): Parsed<number> {
  const example = `such as 12.4 ${unit}`;
  let rest = text.trim();
  if (rest === '') return refused(`Type a distance, ${example}.`);
  if (/^\d+,\d+/.test(rest))
    return refused(`Write the decimal point as a point: ${rest.replace(',', '.')}.`);
  if (rest.startsWith('-')) return refused('A distance cannot be negative.');
  let tenths = 0;
  while (rest !== '') {
    const match = PART.exec(rest);
    if (!match) return refused(`“${text.trim()}” is no distance: type it ${example}.`);
    const [all, over, under, whole, above, below, suffix] = match;
    const numerator = Number(over ?? above ?? 0);
    const denominator = Number(under ?? below ?? 1);
    if (denominator === 0) return refused('A fraction cannot be over 0.');
    const value = Number(whole ?? 0) + numerator / denominator;
    const word = suffix ? (WORDS[suffix] ?? suffix.toLowerCase()) : unit;
    tenths += value * (TENTHS[word] ?? Number.NaN);
    rest = rest.slice(all.length).trim();
  }
  return parsed(Math.round(tenths));
}

/** Prints tenths of a millimeter in the project's unit: one decimal for km and mi, none for m and ft. */
export function formatDistance(tenths: number, unit: DistanceUnit): string {
  const value = tenths / (TENTHS[unit] ?? Number.NaN);
  return `${value.toFixed(unit === 'km' || unit === 'mi' ? 1 : 0)} ${unit}`;
}

/** Prints a distance for a form, with no figure lost: as many decimals as the unit needs. */
export function spellDistance(tenths: number, unit: DistanceUnit): string {
  const value = (tenths / (TENTHS[unit] ?? Number.NaN)).toFixed(7);
  return `${value.replace(/\.?0+$/, '')} ${unit}`;
}
