import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { TemperatureUnit } from '../record/units.ts';
import { fewestDecimals } from './fewestDecimals.ts';
import { readNumber } from './number.ts';

/** A hundredth of a degree C: a tenth of a degree F that was typed reads back as typed. */
const hundredths = (celsius: number): number => Math.round(celsius * 100) / 100;

/** Degrees C from degrees F. */
export const fromFahrenheit = (figure: number): number => ((figure - 32) * 5) / 9;

const fromUnit = (figure: number, unit: TemperatureUnit): number =>
  unit === 'F' ? fromFahrenheit(figure) : figure;

const inUnit = (celsius: number, unit: TemperatureUnit): number =>
  unit === 'F' ? (celsius * 9) / 5 + 32 : celsius;

/** Degrees C of the coldest and the hottest site. */
const [COLDEST, HOTTEST] = [-50, 60];

/** Why a temperature cannot be read. */
export type TemperatureProblem =
  | { code: 'typeTemperature' | 'typeDegrees' }
  /** Likely degrees F. */
  | { code: 'meantFahrenheit'; figure: number }
  | { code: 'noWeather'; celsius: number };

const WRITTEN = /^(.*?)\s*°?\s*([cfk])?$/i;

/**
 * Reads a temperature as hundredths of a degree C: `21`, `21 C`, `70 F`, `294 K`.
 * What no site has is refused, with what was likely meant.
 * @param unit the unit meant where none is typed
 */
export function parseTemperature(
  text: string,
  unit: TemperatureUnit = 'C',
): Parsed<number, TemperatureProblem> {
  const match = WRITTEN.exec(text.trim())!;
  const number = readNumber(match[1]!, 'small');
  if (!number.ok) return refused({ code: 'typeTemperature' });
  const figure = number.value;
  const named = (match[2] ?? unit).toUpperCase();
  const celsius = named === 'K' ? figure - 273.15 : fromUnit(figure, named as TemperatureUnit);
  if (celsius > HOTTEST && !match[2] && unit === 'C')
    return refused({ code: 'meantFahrenheit', figure });
  if (celsius < COLDEST || celsius > HOTTEST)
    return refused({ code: 'noWeather', celsius: Math.round(celsius) });
  return parsed(hundredths(celsius));
}

/** A temperature in the project's unit: `12.5 C`, `54 F`. */
export const formatTemperature = (celsius: number, unit: TemperatureUnit): string =>
  `${Number(inUnit(celsius, unit).toFixed(1))} ${unit}`;

/** A change of temperature in the project's unit, without a sign: 10 C are 18 F. */
export const formatTemperatureChange = (celsius: number, unit: TemperatureUnit): string =>
  `${Number(Math.abs(unit === 'F' ? celsius * 1.8 : celsius).toFixed(1))} ${unit}`;

/** Prints a change for a form, so that it reads back as the same. */
export function spellTemperatureChange(celsius: number, unit: TemperatureUnit): string {
  const factor = unit === 'F' ? 1.8 : 1;
  return `${fewestDecimals(celsius * factor, (figure) => hundredths(figure / factor) === celsius)} ${unit}`;
}

/** Reads a change of temperature as hundredths of a degree C: `10`, `10 C`, `18 F`. */
export function parseTemperatureChange(
  text: string,
  unit: TemperatureUnit,
): Parsed<number, TemperatureProblem> {
  const match = WRITTEN.exec(text.trim())!;
  const number = readNumber(match[1]!, 'small');
  if (!number.ok) return refused({ code: 'typeDegrees' });
  const named = (match[2] ?? unit).toUpperCase();
  return parsed(hundredths(named === 'F' ? number.value / 1.8 : number.value));
}
