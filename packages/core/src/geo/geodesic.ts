import geodesic from 'geographiclib-geodesic';
import type { Position } from '../record/position.ts';

const { WGS84 } = geodesic.Geodesic;

/**
 * Meters between two places on the ellipsoid WGS 84.
 * Source: C. F. F. Karney, Algorithms for geodesics, 2013, by GeographicLib.
 */
export const metersBetween = (one: Position, other: Position): number =>
  WGS84.Inverse(one[1], one[0], other[1], other[0]).s12!;

/** Longest piece of a line that is taken for straight on a map, meters. */
const PIECE = 500;

/** A line in pieces that are short enough to be straight, with the meters from its start to each point. */
interface Measured {
  points: Position[];
  meters: number[];
}

function measured(points: readonly Position[]): Measured {
  const result: Measured = { points: [points[0]!], meters: [0] };
  for (let at = 1; at < points.length; at++) {
    const [from, to] = [points[at - 1]!, points[at]!];
    const line = WGS84.InverseLine(from[1], from[0], to[1], to[0]);
    const long = line.s13;
    const pieces = Math.max(1, Math.ceil(long / PIECE));
    const start = result.meters.at(-1)!;
    for (let piece = 1; piece <= pieces; piece++) {
      const along = (long * piece) / pieces;
      const { lat2, lon2 } = line.Position(along);
      result.points.push(piece === pieces ? to : [lon2!, lat2!]);
      result.meters.push(start + along);
    }
  }
  return result;
}

/** Meters along a line on the ellipsoid. */
export const lineLength = (points: readonly Position[]): number => measured(points).meters.at(-1)!;

/** Where a place lies along a line: meters from its start, and how far off it. */
export interface Along {
  meters: number;
  off: number;
}

/** Degrees of longitude east of another, over the date line too. */
const eastOf = (one: number, other: number): number => ((one - other + 540) % 360) - 180;

/** Finds the nearest point of a line for many places: the line is measured once. */
export function alongLine(points: readonly Position[]): (place: Position) => Along {
  const { points: fine, meters } = measured(points);
  return (place) => {
    // Near the place the ellipsoid is as good as a plane: only which piece is nearest is asked of it.
    const narrow = Math.cos((place[1] * Math.PI) / 180);
    const flat = ([lon, lat]: Position) =>
      [eastOf(lon, place[0]) * narrow, lat - place[1]] as const;
    let least = Infinity;
    let best = { at: 0, share: 0 };
    let before = flat(fine[0]!);
    for (let at = 1; at < fine.length; at++) {
      const after = flat(fine[at]!);
      const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
      const square = dx * dx + dy * dy;
      const share =
        square === 0 ? 0 : Math.max(0, Math.min(1, -(before[0] * dx + before[1] * dy) / square));
      const off = (before[0] + share * dx) ** 2 + (before[1] + share * dy) ** 2;
      if (off < least) {
        least = off;
        best = { at, share };
      }
      before = after;
    }
    const [from, to] = [fine[best.at - 1]!, fine[best.at]!];
    const foot: Position = [
      from[0] + best.share * eastOf(to[0], from[0]),
      from[1] + best.share * (to[1] - from[1]),
    ];
    const start = meters[best.at - 1]!;
    return {
      meters: start + best.share * (meters[best.at]! - start),
      off: metersBetween(place, foot),
    };
  };
}
