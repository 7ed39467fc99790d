import {
  type GaugeUnit,
  type Parsed,
  type TemperatureProblem,
  type TemperatureUnit,
  type Units,
  formatBarometer,
  parseTemperature,
  parsed,
} from '@cordel/core';
import { formatGauge, likelyUnit } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';

/** A temperature that may be left out; degrees C. */
export const readTemperature = (
  text: string,
  unit: TemperatureUnit,
): Parsed<number | null, TemperatureProblem> =>
  text.trim() === '' ? parsed(null) : parseTemperature(text, unit);

/** An altitude and a pressure as the project writes them. */
export const airHint = (units: Pick<Units, 'pressure' | 'altitude'>): string =>
  t('altitudeOrBarometer', {
    altitude: units.altitude === 'ft' ? '1500 ft' : '450 m',
    barometer: formatBarometer(98.5, units),
  });

/** What is said of a gauge that shows more than the limit. */
export function overWords(pascals: number, limitPa: number, unit: GaugeUnit): string {
  const meant = likelyUnit(pascals, unit, limitPa);
  const above = t('isAboveTheLimitOf', {
    pascals: formatGauge(pascals, unit),
    limit: formatGauge(limitPa, unit, 'down'),
  });
  return meant
    ? t('doesTheGaugeShowThenChoose', { above, meant })
    : t('releasePressureAtOnce', { above });
}
