import { type Parsed, parseTemperature, parsed } from '@cordel/core';
import { type GaugeUnit, formatGauge, likelyUnit } from '@cordel/core/close';

/** A temperature that may be left out. */
export const readTemperature = (text: string): Parsed<number | null> =>
  text.trim() === '' ? parsed(null) : parseTemperature(text);

/** What is said of a gauge that shows more than the limit. */
export function overWords(pascals: number, limitPa: number, unit: GaugeUnit): string {
  const meant = likelyUnit(pascals, unit, limitPa);
  const above = `${formatGauge(pascals, unit)} is above the limit of ${formatGauge(limitPa, unit, 'down')}`;
  return meant
    ? `${above}. Does the gauge show ${meant}? Then choose ${meant}. If it is so, let air out at once.`
    : `${above}: let air out at once.`;
}
