import {
  type FiberPairs,
  type Loss,
  type Parameter,
  type Probability,
  type Quantity,
  type SplicePlaces,
  type TimeSpan,
  type Units,
  formatBarometer,
  formatBarometerChange,
  formatDay,
  formatDiameter,
  formatDistance,
  formatHalf,
  formatLength,
  formatLoss,
  formatMeters,
  formatMomentInZone,
  formatPlace,
  formatRange,
  formatTemperature,
  formatTemperatureChange,
  formatTorque,
  formatWithError,
} from '@cordel/core';
import { formatGauge } from '@cordel/core/pressure';
import { fill } from './fill.ts';
import { listed } from './listed.ts';

/**
 * A parameter as it stands in a text. A count stays a number, for plurals go by it.
 * @throws where a figure has a unit and the project's units are not given
 */
export function shown(value: Parameter, units: Units | undefined): string | number {
  if (typeof value !== 'object') return value;
  if (Array.isArray(value)) return listed({ items: value as readonly string[] });
  const one = value as Exclude<typeof value, readonly string[]>;
  if ('items' in one) return listed(one);
  if ('places' in one) return shownPlaces(one);
  if ('pairs' in one) return shownPairs(one);
  if ('lossMdb' in one) return `${formatLoss(one.lossMdb)} dB`;
  if ('lossHalfMdb' in one) return `${formatHalf(one.lossHalfMdb)} dB`;
  if ('lossDb' in one) return shownLossDb(one);
  if ('powerMdbm' in one) return `${formatLoss(one.powerMdbm)} dBm`;
  if ('chance' in one) return shownChance(one);
  if ('spanMs' in one) return shownSpan(one);
  if (!units) throw new Error('A figure is shown in the units of its project.');
  return inUnits(one, units);
}

function shownLossDb({ lossDb, sigmaDb, decimals = 3 }: Extract<Loss, { lossDb: number }>): string {
  const loss = lossDb.toFixed(decimals);
  if (sigmaDb === undefined) return `${loss} dB`;
  const error = Math.max(10 ** -decimals, 2 * sigmaDb).toFixed(decimals);
  return `${loss} ± ${error} dB`;
}

/** No chance is said to be certain. */
function shownChance({ chance }: Probability): string {
  if (chance > 0.995) return fill('over {percent} %', { percent: 99 });
  if (chance < 0.005) return fill('under {percent} %', { percent: 1 });
  return fill('{percent} %', { percent: Math.round(chance * 100) });
}

/** Such as `1 h 2 min`. */
export function shownSpan({ spanMs }: TimeSpan): string {
  const all = Math.round(spanMs / 60_000);
  if (all >= 2 * 24 * 60) return fill('{days} days', { days: Math.round(all / (24 * 60)) });
  const [hours, minutes] = [Math.floor(all / 60), all % 60];
  if (hours === 0) return fill('{minutes} min', { minutes });
  return minutes === 0
    ? fill('{hours} h', { hours })
    : fill('{hours} h {minutes} min', { hours, minutes });
}

const shownPlaces = ({ places, most }: SplicePlaces): string =>
  listed({
    items: places.map((place) =>
      fill('{tray, plural, =0 {ends at their ports} other {tray {tray} slot {slot}}}', place),
    ),
    most,
  });

const shownPairs = ({ pairs, most }: FiberPairs): string =>
  listed({
    items: pairs.map((pair) => fill('{cableA} {fiberA} to {cableB} {fiberB}', pair)),
    most,
  });

/** A figure in the units of the project. */
function inUnits(one: Quantity, units: Units): string {
  if ('lengthTenthsMm' in one) return formatLength(one.lengthTenthsMm, units.length, one.towards);
  if ('diameterTenthsMm' in one) return formatDiameter(one.diameterTenthsMm, units.length);
  if ('distanceTenthsMm' in one) return formatDistance(one.distanceTenthsMm, units.distance);
  if ('tapeM' in one)
    return one.errorM === undefined
      ? formatMeters(one.tapeM, units.distance, one.decimals)
      : formatWithError(one.tapeM, one.errorM, units.distance);
  if ('placeM' in one) return formatPlace(one.placeM, units.distance);
  if ('rangeM' in one) return formatRange(one.rangeM, units.distance);
  if ('gaugePa' in one) return formatGauge(one.gaugePa, units.pressure, one.towards);
  if ('torqueMilliNm' in one) return formatTorque(one.torqueMilliNm, units.length);
  if ('barometerKpa' in one) return formatBarometer(one.barometerKpa, units);
  if ('barometerChangeKpa' in one) return formatBarometerChange(one.barometerChangeKpa, units);
  if ('temperatureC' in one) return formatTemperature(one.temperatureC, units.temperature);
  if ('temperatureChangeC' in one)
    return formatTemperatureChange(one.temperatureChangeC, units.temperature);
  if ('dayOf' in one) return formatDay(one.dayOf, units.timeZone);
  return formatMomentInZone(one.at, units.timeZone);
}
