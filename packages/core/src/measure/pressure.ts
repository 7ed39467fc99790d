import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { fewestDecimals } from './fewestDecimals.ts';
import { readNumber } from './number.ts';
import type { GaugeUnit } from '../record/units.ts';

/**
 * Pascals in a unit. Source: NIST SP 811, appendix B.9 (from memory): 1 psi = 6 894.757 Pa, 1 inH2O
 * (4 C) = 249.0889 Pa.
 */
const PASCALS: Record<GaugeUnit, number> = {
  psi: 6894.757293168,
  kPa: 1000,
  mbar: 100,
  inH2O: 249.08891,
};

/** Digits behind the point that a gauge of the unit is read to. */
const DIGITS: Record<GaugeUnit, number> = { psi: 2, kPa: 2, mbar: 1, inH2O: 1 };

/** Pascals in the gauge's unit. */
export const inUnit = (pascals: number, unit: GaugeUnit): number => pascals / PASCALS[unit];

const ROUND = { up: Math.ceil, down: Math.floor, near: Math.round };

/** A pressure in the gauge's unit, without its name. */
export function gaugeFigure(
  pascals: number,
  unit: GaugeUnit,
  towards: keyof typeof ROUND = 'near',
): string {
  const scale = 10 ** DIGITS[unit];
  // A hair of slack, so that a whole figure is not rounded away from itself.
  const slack = { up: -1e-9, down: 1e-9, near: 0 }[towards];
  const figure = ROUND[towards]((pascals / PASCALS[unit]) * scale + slack) / scale;
  return (figure === 0 ? 0 : figure).toFixed(DIGITS[unit]).replace('-', '\u2212');
}

/** A pressure as a gauge shows it: `4.33 psi`, `29.84 kPa`. Limits are printed `down`. */
export const formatGauge = (
  pascals: number,
  unit: GaugeUnit,
  towards: keyof typeof ROUND = 'near',
): string => `${gaugeFigure(pascals, unit, towards)} ${unit}`;

const NAMES: Record<string, GaugeUnit> = {
  psi: 'psi',
  psig: 'psi',
  kpa: 'kPa',
  mbar: 'mbar',
  hpa: 'mbar',
  inh2o: 'inH2O',
  '"wc': 'inH2O',
};

/** Why a pressure of a gauge cannot be read. */
export interface GaugeProblem {
  code: 'typeGauge' | 'typeLeakRate';
}

/**
 * Reads what a gauge shows as whole pascals: `4.9`, `4.9 psi`, `33.8 kPa`.
 * @param unit the unit of the gauge, meant where none is typed
 */
export function parseGauge(text: string, unit: GaugeUnit): Parsed<number, GaugeProblem> {
  const match = /^(.*?)\s*(psig?|kpa|mbar|hpa|inh2o|"wc)?$/i.exec(text.trim())!;
  const number = readNumber(match[1]!, 'small');
  if (!number.ok) return refused({ code: 'typeGauge' });
  const figure = number.value;
  const named = match[2] ? NAMES[match[2].toLowerCase()]! : unit;
  return parsed(Math.round(figure * PASCALS[named]));
}

/** A fall of pressure, pascals a minute, to a tenth of what gauges of the unit are read to: `0.015 psi/min`. */
export const formatLeakRate = (pascals: number, unit: GaugeUnit): string =>
  `${Number((pascals / PASCALS[unit]).toFixed(DIGITS[unit] + 1))} ${unit}/min`;

/** Reads a fall of pressure as whole pascals a minute: `100 Pa`, `0.01 psi`, `0.1 kPa/min`. */
export function parseLeakRate(text: string, unit: GaugeUnit): Parsed<number, GaugeProblem> {
  const bare = text.trim().replace(/\s*(\/|a |per )\s*min(ute)?\.?$/i, '');
  const pascals = /^(.*\d)\s*pa$/i.exec(bare);
  const number = pascals ? readNumber(pascals[1]!, 'small') : parseGauge(bare, unit);
  return number.ok ? parsed(Math.round(number.value)) : refused({ code: 'typeLeakRate' });
}

/** Prints a pressure for a form, so that it reads back as the same number of pascals. */
export const spellGauge = (pascals: number, unit: GaugeUnit): string =>
  `${fewestDecimals(pascals / PASCALS[unit], (figure) => Math.round(figure * PASCALS[unit]) === pascals)} ${unit}`;

/** Prints a fall of pressure, pascals a minute, for a form, so that it reads back as the same. */
export const spellLeakRate = (pascals: number, unit: GaugeUnit): string =>
  `${spellGauge(pascals, unit)}/min`;

/** How many times off a reading may be before it is taken for one of another unit. */
const NEAR = 1.35;

/**
 * The unit in which a figure would be near what is expected, where in the gauge's own it is far off.
 * @param pascals as read in `unit`; `expected` in pascals
 */
export function likelyUnit(pascals: number, unit: GaugeUnit, expected: number): GaugeUnit | null {
  const near = (value: number) => value > expected / NEAR && value < expected * NEAR;
  // What is half or twice as much may well be so; a unit is further off than that.
  if (expected <= 0 || pascals <= 0 || (pascals > expected / 3 && pascals < expected * 2.2))
    return null;
  const figure = pascals / PASCALS[unit];
  const others = (Object.keys(PASCALS) as GaugeUnit[]).filter((other) => other !== unit);
  return others.find((other) => near(figure * PASCALS[other])) ?? null;
}
