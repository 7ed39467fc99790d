import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { readNumber } from './number.ts';

/**
 * Air pressure at an altitude in meters, kPa.
 * Source: ICAO standard atmosphere, Doc 7488 (from memory), for the troposphere.
 */
export const pressureAt = (altitude: number): number =>
  101.325 * (1 - 2.25577e-5 * altitude) ** 5.25588;

/**
 * Reads a temperature as degrees C: `21`, `21 C`, `70 F`, `294 K`. Without a unit it is Celsius.
 * What no site has is refused, with what was likely meant.
 */
export function parseTemperature(text: string): Parsed<number> {
  const match = /^(.*?)\s*°?\s*([cfk])?$/i.exec(text.trim())!;
  const number = readNumber(match[1]!, 'small');
  if (!number.ok) return refused('Type a temperature, such as 12 C or 54 F.');
  const figure = number.value;
  const unit = (match[2] ?? 'c').toLowerCase();
  const celsius = unit === 'f' ? fromFahrenheit(figure) : unit === 'k' ? figure - 273.15 : figure;
  if (celsius > 60 && !match[2])
    return refused(`${figure} C is hotter than any site: did you mean ${figure} F?`);
  if (celsius < -50 || celsius > 60)
    return refused(`${Math.round(celsius)} C is no weather to splice in: check the unit.`);
  return parsed(Math.round(celsius * 10) / 10);
}

/** Degrees C from degrees F. */
export const fromFahrenheit = (figure: number): number => ((figure - 32) * 5) / 9;

/**
 * Reads an air pressure as kPa: `98.5 kPa`, `985 hPa`, `985 mbar`, `29.1 inHg`, or the altitude it
 * follows from: `450 m`, `1500 ft`.
 */
export function parsePressure(text: string): Parsed<number> {
  const match = /^(.*?)\s*(kpa|hpa|mbar|inhg|m|ft)?$/i.exec(text.trim())!;
  const number = readNumber(match[1]!, match[2]?.toLowerCase() === 'ft' ? 'point' : 'either');
  if (!number.ok || number.value < 0)
    return refused('Type a pressure or an altitude, such as 98.5 kPa or 450 m.');
  const figure = number.value;
  const unit = (match[2] ?? 'kpa').toLowerCase();
  const per: Record<string, number> = { kpa: 1, hpa: 0.1, mbar: 0.1, inhg: 3.386389 };
  if ((unit === 'm' && figure > 6000) || (unit === 'ft' && figure > 20_000))
    return refused('There is no road that high: check the altitude.');
  const kpa =
    unit === 'm'
      ? pressureAt(figure)
      : unit === 'ft'
        ? pressureAt(figure * 0.3048)
        : figure * per[unit]!;
  if (kpa < 40 || kpa > 110)
    return refused(`${kpa.toFixed(1)} kPa is no air pressure: about 101 kPa at sea level.`);
  return parsed(Math.round(kpa * 100) / 100);
}
