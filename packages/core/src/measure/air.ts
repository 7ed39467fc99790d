import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { GaugeUnit, Units } from '../record/units.ts';
import { fewestDecimals } from './fewestDecimals.ts';
import { readNumber } from './number.ts';

/**
 * Air pressure at an altitude in meters, kPa.
 * Source: ICAO standard atmosphere, Doc 7488 (from memory), for the troposphere.
 */
export const pressureAt = (altitude: number): number =>
  101.325 * (1 - 2.25577e-5 * altitude) ** 5.25588;

/** The altitude in meters at which the standard atmosphere has the pressure, kPa: the inverse of `pressureAt`. */
export const altitudeOf = (kpa: number): number =>
  (1 - (kpa / 101.325) ** (1 / 5.25588)) / 2.25577e-5;

/** kPa in each unit of barometers. 1 inHg (0 C): NIST SP 811, appendix B.9 (from memory). */
const KPA = { kPa: 1, hPa: 0.1, mbar: 0.1, inHg: 3.386389 } as const;
type BarometerUnit = keyof typeof KPA;

/** The unit of barometers that goes with that of gauges. */
const BAROMETER: Record<GaugeUnit, BarometerUnit> = {
  psi: 'inHg',
  inH2O: 'inHg',
  kPa: 'kPa',
  mbar: 'mbar',
};

const METERS_IN_FOOT = 0.3048;

const named = (text: string): BarometerUnit | undefined =>
  (Object.keys(KPA) as BarometerUnit[]).find((unit) => unit.toLowerCase() === text.toLowerCase());

/** Why a barometric pressure cannot be read. */
export type AirProblem =
  { code: 'typeAir' | 'noSuchRoad' | 'typeAirChange' } | { code: 'noAirPressure'; kpa: string };

/**
 * Reads a barometric pressure as thousandths of a kPa: `98.5 kPa`, `985 hPa`, `29.1 inHg`, or the altitude it
 * follows from: `450 m`, `1500 ft`.
 * @param gauge the project's unit of pressure; that of barometers beside it is meant where none is typed
 */
export function parsePressure(text: string, gauge: GaugeUnit = 'kPa'): Parsed<number, AirProblem> {
  const match = /^(.*?)\s*(kpa|hpa|mbar|inhg|m|ft)?$/i.exec(text.trim())!;
  const suffix = match[2]?.toLowerCase() ?? '';
  const number = readNumber(match[1]!, suffix === 'ft' ? 'point' : 'either');
  if (!number.ok || number.value < 0) return refused({ code: 'typeAir' });
  const figure = number.value;
  if (suffix === 'm' || suffix === 'ft') {
    const meters = suffix === 'ft' ? figure * METERS_IN_FOOT : figure;
    return meters > 6100
      ? refused({ code: 'noSuchRoad' })
      : parsed(thousandths(pressureAt(meters)));
  }
  const kpa = figure * KPA[named(suffix) ?? BAROMETER[gauge]];
  if (kpa < 40 || kpa > 110) return refused({ code: 'noAirPressure', kpa: kpa.toFixed(1) });
  return parsed(thousandths(kpa));
}

/** Fine enough that an altitude that was typed reads back to the meter. */
const thousandths = (kpa: number): number => Math.round(kpa * 1000) / 1000;

/** A barometric pressure in the unit that goes with the project's gauges: `98.5 kPa`, `28.36 inHg`. */
export function formatBarometer(kpa: number, { pressure }: Pick<Units, 'pressure'>): string {
  const unit = BAROMETER[pressure];
  return `${Number((kpa / KPA[unit]).toFixed(unit === 'mbar' ? 1 : 2))} ${unit}`;
}

/** A change of barometric pressure, without a sign. */
export const formatBarometerChange = (kpa: number, units: Pick<Units, 'pressure'>): string =>
  formatBarometer(Math.abs(kpa), units);

/** A barometric pressure, and the altitude at which it is usual: `96.03 kPa, about 450 m`. */
export function formatAir(kpa: number, units: Pick<Units, 'pressure' | 'altitude'>): string {
  const meters = altitudeOf(kpa);
  const figure = units.altitude === 'ft' ? meters / METERS_IN_FOOT : meters;
  return `${formatBarometer(kpa, units)}, about ${Math.round(figure)} ${units.altitude}`;
}

/** Reads a change of barometric pressure as thousandths of a kPa: `5`, `5 kPa`, `1.5 inHg`. */
export function parseBarometerChange(text: string, gauge: GaugeUnit): Parsed<number, AirProblem> {
  const match = /^(.*?)\s*(kpa|hpa|mbar|inhg)?$/i.exec(text.trim())!;
  const number = readNumber(match[1]!, 'small');
  if (!number.ok) return refused({ code: 'typeAirChange' });
  return parsed(thousandths(number.value * KPA[named(match[2] ?? '') ?? BAROMETER[gauge]]));
}

/** Prints a change for a form, so that it reads back as the same. */
export function spellBarometerChange(kpa: number, gauge: GaugeUnit): string {
  const unit = BAROMETER[gauge];
  const means = (figure: number) => thousandths(figure * KPA[unit]) === kpa;
  return `${fewestDecimals(kpa / KPA[unit], means)} ${unit}`;
}
