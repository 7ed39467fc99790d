import { z } from 'zod';
import { issue } from './issue.ts';

export const lengthUnitSchema = z.enum(['mm', 'in']);
/** The unit of what is measured at the bench. Cleave lengths stay in mm. */
export type LengthUnit = z.infer<typeof lengthUnitSchema>;

export const distanceUnitSchema = z.enum(['km', 'm', 'mi', 'ft']);
export type DistanceUnit = z.infer<typeof distanceUnitSchema>;

/** Units that gauges of pressure tests show. */
export const GAUGE_UNITS = ['psi', 'kPa', 'mbar', 'inH2O'] as const;
export const gaugeUnitSchema = z.enum(GAUGE_UNITS);
export type GaugeUnit = z.infer<typeof gaugeUnitSchema>;

export const temperatureUnitSchema = z.enum(['C', 'F']);
export type TemperatureUnit = z.infer<typeof temperatureUnitSchema>;

export const altitudeUnitSchema = z.enum(['m', 'ft']);
export type AltitudeUnit = z.infer<typeof altitudeUnitSchema>;

export const paperSchema = z.enum(['A4', 'Letter']);
export type Paper = z.infer<typeof paperSchema>;

/** Whether the time zone database knows the name. */
function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** In which units, on which paper and by which clock a project is shown. What is stored does not depend on it. */
export const unitsSchema = z.object({
  length: lengthUnitSchema,
  distance: distanceUnitSchema,
  pressure: gaugeUnitSchema,
  temperature: temperatureUnitSchema,
  altitude: altitudeUnitSchema,
  paper: paperSchema,
  /** A name of the IANA time zone database. */
  timeZone: z.string().max(60).refine(isTimeZone, issue('timeZoneUnknown')),
});
export type Units = z.infer<typeof unitsSchema>;

/** All but the time zone, which depends on where the work is. */
export type UnitPreset = Omit<Units, 'timeZone'>;

export const METRIC: UnitPreset = {
  length: 'mm',
  distance: 'km',
  pressure: 'kPa',
  temperature: 'C',
  altitude: 'm',
  paper: 'A4',
};

export const US_CUSTOMARY: UnitPreset = {
  length: 'in',
  distance: 'ft',
  pressure: 'psi',
  temperature: 'F',
  altitude: 'ft',
  paper: 'Letter',
};

/** Units of a project that only chose that of its distances. */
export const unitsOfDistance = (distance: DistanceUnit): Units => ({
  ...(distance === 'mi' || distance === 'ft' ? US_CUSTOMARY : METRIC),
  distance,
  timeZone: 'UTC',
});
