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

/** Pieces that follow one another, with the box of degrees that they lie in. */
interface Stretch {
  /** Of its first piece and behind its last one, as places in the list of points. */
  from: number;
  to: number;
  middle: Position;
  halfWidth: number;
  halfHeight: number;
}

const PIECES_IN_STRETCH = 64;

function stretchesOf(fine: readonly Position[]): Stretch[] {
  const stretches: Stretch[] = [];
  for (let from = 1; from < fine.length; from += PIECES_IN_STRETCH) {
    const to = Math.min(from + PIECES_IN_STRETCH, fine.length);
    const [lon, lat] = fine[from - 1]!;
    // Degrees east and north of its beginning, so that the date line is no edge.
    let [west, east, south, north] = [0, 0, 0, 0];
    for (const [pointLon, pointLat] of fine.slice(from, to)) {
      const aside = eastOf(pointLon, lon);
      [west, east] = [Math.min(west, aside), Math.max(east, aside)];
      [south, north] = [Math.min(south, pointLat - lat), Math.max(north, pointLat - lat)];
    }
    stretches.push({
      from,
      to,
      middle: [lon + (west + east) / 2, lat + (south + north) / 2],
      halfWidth: (east - west) / 2,
      halfHeight: (north - south) / 2,
    });
  }
  return stretches;
}

/** The square of how far a stretch is off a place at the least, in degrees of latitude. */
function leastOff(
  { halfWidth, halfHeight }: Stretch,
  [east, north]: readonly [number, number],
  narrow: number,
): number {
  const aside = Math.max(0, Math.abs(east) - halfWidth * narrow);
  const above = Math.max(0, Math.abs(north) - halfHeight);
  return aside * aside + above * above;
}

/**
 * Finds the nearest point of a line for many places: the line is measured once. `off` is right to a centimeter beside the
 * line, and up to 0.2 % too large for a place that is 60 km away.
 */
export function alongLine(points: readonly Position[]): (place: Position) => Along {
  const { points: fine, meters } = measured(points);
  const stretches = stretchesOf(fine);
  return (place) => {
    // Near the place the ellipsoid is as good as a plane: only which piece is nearest is asked of it.
    const narrow = Math.cos((place[1] * Math.PI) / 180);
    const flat = ([lon, lat]: Position) =>
      [eastOf(lon, place[0]) * narrow, lat - place[1]] as const;
    let least = Infinity;
    let best = { at: 0, share: 0 };
    const nearest = stretches
      .map((stretch) => ({ stretch, atLeast: leastOff(stretch, flat(stretch.middle), narrow) }))
      .sort((a, b) => a.atLeast - b.atLeast);
    for (const { stretch, atLeast } of nearest) {
      // All that follow are farther away than what is found.
      if (atLeast > least) break;
      let before = flat(fine[stretch.from - 1]!);
      for (let at = stretch.from; at < stretch.to; at++) {
        const after = flat(fine[at]!);
        const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
        const square = dx * dx + dy * dy;
        const share =
          square === 0 ? 0 : Math.max(0, Math.min(1, -(before[0] * dx + before[1] * dy) / square));
        const off = (before[0] + share * dx) ** 2 + (before[1] + share * dy) ** 2;
        // Of two that are as near the first one stands.
        if (off < least || (off === least && at < best.at)) {
          least = off;
          best = { at, share };
        }
        before = after;
      }
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
