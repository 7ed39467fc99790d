import { type DistanceUnit, tapeUnitOf } from '@cordel/core';

const METERS: Record<DistanceUnit, number> = { km: 1000, m: 1, mi: 1609.344, ft: 0.3048 };

/** A round step, such as 0.2 or 50, that gives about so many lines over a range. */
export function stepOf(range: number, lines: number): number {
  const rough = range / lines;
  const ten = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 5, 10].map((step) => step * ten).find((step) => step >= rough)!;
}

/** A mark of the distance axis: where, in meters, and what it says. */
export interface Tick {
  at: number;
  label: string;
}

/**
 * Marks at round figures of the project's unit; close up, of the small unit that goes with it.
 * @param from first meter in sight; `to` the last
 * @param lines about how many marks there is room for
 */
export function distanceTicks(from: number, to: number, lines: number, unit: DistanceUnit): Tick[] {
  const coarse = stepOf((to - from) / METERS[unit], lines);
  const close = coarse < 0.1;
  const shown = close ? tapeUnitOf(unit) : unit;
  const step = close ? stepOf((to - from) / METERS[shown], lines) : coarse;
  const digits = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  const ticks: Tick[] = [];
  const last = Math.floor(to / METERS[shown] / step + 1e-9);
  for (let count = Math.ceil(from / METERS[shown] / step - 1e-9); count <= last; count++)
    ticks.push({
      at: count * step * METERS[shown],
      label: `${(count * step).toFixed(digits)} ${shown}`,
    });
  return ticks;
}
