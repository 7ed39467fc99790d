import type { Position, RouteLine } from '@cordel/core';

/** The valley lies in the open sea, where no place has a name: it is made up. */
const START: Position = [-21.4, -43.2];
const LONG = 56;

/** A point of the valley's road at so many kilometers, a little aside for what stands beside it. */
export function positionAt(km: number, aside = 0): Position {
  const north = 0.0081 * km * Math.cos(0.35 * Math.sin(km / 7));
  const east = 0.0034 * km + 0.02 * Math.sin(km / 5);
  const round = (degrees: number) => Math.round(degrees * 1e6) / 1e6;
  return [round(START[0] + east + 0.004 * aside), round(START[1] + north)];
}

/** The road along which the cables of the demo run. */
export const demoRoute = (): RouteLine[] => [
  {
    name: 'Valley road',
    points: Array.from({ length: LONG * 2 + 1 }, (_, index) => positionAt(index / 2)),
  },
];
