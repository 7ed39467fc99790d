import { cutText } from '../record/cutText.ts';
import { z } from 'zod';
import type { SchemaIssue } from '../record/issue.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { Position, RouteLine } from '../record/position.ts';
import { type Along, alongLine } from './geodesic.ts';

/** A closure as a GeoJSON file has it. */
export interface FoundClosure {
  name: string;
  position: Position;
  /** Which line it lies along, by its place in the list, and where; null without a line. */
  line: number | null;
  along: Along | null;
}

export interface FoundRoute {
  lines: RouteLine[];
  closures: FoundClosure[];
  /** What was passed over. */
  notes: GeoNote[];
}

/** What was passed over in a file, and how often. */
export interface GeoNote {
  code: 'pointsWithoutName' | 'areas' | 'featuresWithoutPlace';
  count: number;
}

/** Why coordinates are no places on the earth. */
export interface PlaceProblem {
  code: 'noDegrees' | 'axesCrossed' | 'noPlace';
  pair: readonly string[];
}

/** Why a file cannot be read. */
export type GeoProblem =
  | { code: 'noJson'; reason: string }
  | { code: 'noCollection'; path: string; issue: SchemaIssue }
  | { code: 'otherSystem'; system: string }
  /** Of a feature, counted from 1. */
  | { code: 'featureInvalid'; feature: number; issue: SchemaIssue }
  | { code: 'featurePlace'; feature: number; problem: PlaceProblem }
  | { code: 'closureTwice'; name: string }
  | { code: 'nothingFound' };

const coordinates = z.array(z.number()).min(2);

const geometrySchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('Point'), coordinates }),
  z.object({ type: z.literal('MultiPoint'), coordinates: z.array(coordinates) }),
  z.object({ type: z.literal('LineString'), coordinates: z.array(coordinates).min(2) }),
  z.object({
    type: z.literal('MultiLineString'),
    coordinates: z.array(z.array(coordinates).min(2)),
  }),
]);

const featureSchema = z.object({
  type: z.literal('Feature'),
  geometry: z.looseObject({ type: z.string() }).nullable(),
  properties: z.record(z.string(), z.unknown()).nullable(),
});

const collectionSchema = z.object({
  type: z.literal('FeatureCollection'),
  features: z.array(featureSchema).max(100_000),
  crs: z.unknown().optional(),
});

/** Names of properties that may hold a closure's or a line's name, the likeliest first. */
const NAMES = ['name', 'closure', 'label', 'title', 'id'];

function nameIn(properties: Record<string, unknown> | null): string | null {
  const keys = Object.keys(properties ?? {});
  for (const wanted of NAMES) {
    const key = keys.find((one) => one.toLowerCase() === wanted);
    const value = key === undefined ? undefined : properties![key];
    if (typeof value === 'number') return String(value);
    if (typeof value === 'string' && value.trim() !== '') return cutText(value.trim(), 80);
  }
  return null;
}

/** Says which reference system a `crs` names, where it is another than that of GeoJSON. */
function otherSystem(crs: unknown): string | null {
  if (crs === undefined || crs === null) return null;
  const name = JSON.stringify((crs as { properties?: { name?: unknown } }).properties?.name ?? crs);
  return /CRS84|EPSG:{1,2}4326|4326/i.test(name) ? null : name.replace(/"/g, '');
}

/**
 * Reads a route and its closures: lines, and points with names. A place on no line has no distance.
 * Source: RFC 7946.
 * @param swap whether the file has latitude first, against the standard
 */
export function readGeoJson(text: string, swap = false): Parsed<FoundRoute, GeoProblem> {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refused({ code: 'noJson', reason: (error as Error).message });
  }
  const bare = value as { type?: unknown };
  const whole =
    bare?.type === 'Feature' ? { type: 'FeatureCollection', features: [value] } : (value as object);
  const read = collectionSchema.safeParse(whole);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    return refused({ code: 'noCollection', path: issue.path.join('/') || 'type', issue });
  }
  const system = otherSystem(read.data.crs);
  if (system) return refused({ code: 'otherSystem', system });
  return featuresOf(read.data.features, swap);
}

function featuresOf(
  features: z.infer<typeof featureSchema>[],
  swap: boolean,
): Parsed<FoundRoute, GeoProblem> {
  const lines: RouteLine[] = [];
  const points: { name: string; position: Position }[] = [];
  let [nameless, shapes, empty] = [0, 0, 0];
  for (const [index, { geometry, properties }] of features.entries()) {
    if (geometry === null) {
      empty++;
      continue;
    }
    const read = geometrySchema.safeParse(geometry);
    if (!read.success) {
      if (/Polygon|GeometryCollection/.test(geometry.type)) {
        shapes++;
        continue;
      }
      return refused({
        code: 'featureInvalid',
        feature: index + 1,
        issue: read.error.issues[0]!,
      });
    }
    const name = nameIn(properties);
    const own = read.data;
    const paths =
      own.type === 'LineString'
        ? [own.coordinates]
        : own.type === 'MultiLineString'
          ? own.coordinates
          : [];
    const places =
      own.type === 'Point' ? [own.coordinates] : own.type === 'MultiPoint' ? own.coordinates : [];
    for (const path of paths) {
      const line = placesIn(path, swap);
      if (!line.ok)
        return refused({ code: 'featurePlace', feature: index + 1, problem: line.error });
      lines.push({ name: name ?? `Line ${lines.length + 1}`, points: line.value });
    }
    for (const place of places) {
      const point = placesIn([place], swap);
      if (!point.ok)
        return refused({ code: 'featurePlace', feature: index + 1, problem: point.error });
      if (name === null) nameless++;
      else points.push({ name, position: point.value[0]! });
    }
  }
  const twice = points.find(
    ({ name }, index) => points.findIndex((one) => one.name === name) !== index,
  );
  if (twice) return refused({ code: 'closureTwice', name: twice.name });
  if (lines.length === 0 && points.length === 0) return refused({ code: 'nothingFound' });
  const notes = (
    [
      { code: 'pointsWithoutName', count: nameless },
      { code: 'areas', count: shapes },
      { code: 'featuresWithoutPlace', count: empty },
    ] satisfies GeoNote[]
  ).filter(({ count }) => count > 0);
  return parsed({ lines, closures: laidAlong(points, lines), notes });
}

/** Seven digits are a centimeter. */
const rounded = (degrees: number): number => Math.round(degrees * 1e7) / 1e7;

function placesIn(list: readonly number[][], swap: boolean): Parsed<Position[], PlaceProblem> {
  const places: Position[] = [];
  for (const pair of list) {
    const [lon, lat] = swap ? [pair[1]!, pair[0]!] : [pair[0]!, pair[1]!];
    if (Math.abs(lon) > 180 || Math.abs(lat) > 90) {
      const crossed = Math.abs(lat) > 90 && Math.abs(lon) <= 90;
      const far = Math.abs(lon) > 360 || Math.abs(lat) > 360;
      return refused({
        code: far ? 'noDegrees' : crossed ? 'axesCrossed' : 'noPlace',
        pair: pair.slice(0, 2).map(String),
      });
    }
    places.push([rounded(lon), rounded(lat)]);
  }
  return parsed(places);
}

/** Each closure along the line it lies nearest. */
function laidAlong(
  points: readonly { name: string; position: Position }[],
  lines: readonly RouteLine[],
): FoundClosure[] {
  const finders = lines.map((line) => alongLine(line.points));
  return points.map((point) => {
    const found = finders.map((find, line) => ({ line, along: find(point.position) }));
    found.sort((a, b) => a.along.off - b.along.off);
    return { ...point, line: found[0]?.line ?? null, along: found[0]?.along ?? null };
  });
}
