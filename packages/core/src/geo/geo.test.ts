import { check } from '@placemarkio/check-geojson';
import distance from '@turf/distance';
import fc from 'fast-check';
import { closureView } from '../close/closure.testing.ts';
import type { Position } from '../record/position.ts';
import { alongLine, lineLength, metersBetween } from './geodesic.ts';
import { readGeoJson } from './readGeoJson.ts';
import { writeGeoJson } from './writeGeoJson.ts';

const anyPlace = fc.tuple(
  fc.double({ min: -179, max: 179, noNaN: true }),
  fc.double({ min: -80, max: 80, noNaN: true }),
);

describe('meters on the ellipsoid', () => {
  it('are those of the published example', () => {
    // Source: GeographicLib’s documentation, Inverse(-41.32, 174.81, 40.96, -5.50) = 19 959 679.267 m (from memory).
    expect(metersBetween([174.81, -41.32], [-5.5, 40.96])).toBeCloseTo(19_959_679.267, 2);
    // A degree of latitude at the equator, and one of longitude: WGS 84, a = 6 378 137 m.
    expect(metersBetween([0, 0], [1, 0])).toBeCloseTo((2 * Math.PI * 6_378_137) / 360, 6);
    expect(metersBetween([0, -0.5], [0, 0.5])).toBeCloseTo(110_574.3, 0);
  });

  it('are within 0.6 % of a sphere’s, by another library', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, (one, other) => {
        const sphere = distance(one, other, { units: 'meters' });
        return Math.abs(metersBetween(one, other) - sphere) <= 0.006 * sphere + 0.01;
      }),
    );
  });
});

describe('a place along a line', () => {
  const line: Position[] = [
    [-21.4, -43.2],
    [-21.3, -43.1],
    [-21.25, -42.9],
  ];

  it('has the meters of the way to it', () => {
    const find = alongLine(line);
    expect(find(line[0]!)).toEqual({ meters: 0, off: 0 });
    const first = metersBetween(line[0]!, line[1]!);
    expect(find(line[1]!).meters).toBeCloseTo(first, 2);
    expect(find(line[2]!).meters).toBeCloseTo(lineLength(line), 2);
    expect(lineLength(line)).toBeCloseTo(first + metersBetween(line[1]!, line[2]!), 6);
  });

  it('is off the line by as much as it stands aside', () => {
    const find = alongLine([
      [10, 0],
      [10.1, 0],
    ]);
    const { meters, off } = find([10.05, 0.001]);
    expect(off).toBeCloseTo(metersBetween([10.05, 0], [10.05, 0.001]), 2);
    expect(meters).toBeCloseTo(metersBetween([10, 0], [10.05, 0]), 1);
  });

  it('goes over the date line', () => {
    const find = alongLine([
      [179.9, 5],
      [-179.9, 5],
    ]);
    expect(find([-179.95, 5]).meters).toBeCloseTo(metersBetween([179.9, 5], [-179.95, 5]), 0);
  });

  it('of thousands of pieces is found by its stretches as it is piece by piece', () => {
    // A way that winds and crosses itself, over the date line too.
    const winding = Array.from({ length: 700 }, (_, at): [number, number] => [
      ((179.9 + 0.0004 * at + 0.02 * Math.sin(at / 9) + 180) % 360) - 180,
      47 + 0.03 * Math.cos(at / 13) + 0.0001 * at,
    ]);
    const whole = alongLine(winding);
    const pieces = winding.slice(1).map((to, at) => alongLine([winding[at]!, to]));
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 699 }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        (at, east, north) => {
          const place: [number, number] = [winding[at]![0] + east, winding[at]![1] + north];
          const least = Math.min(...pieces.map((find) => find(place).off));
          // On a plane that is narrowed for the latitude, hardly a millimeter in a kilometer is lost.
          expect(Math.abs(whole(place).off - least)).toBeLessThan(0.01 + 1e-4 * least);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is never further off than the nearest of its points', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -22, max: -21, noNaN: true }),
        fc.double({ min: -43.4, max: -42.8, noNaN: true }),
        (lon, lat) => {
          const { meters, off } = alongLine(line)([lon, lat]);
          const corner = Math.min(...line.map((point) => metersBetween(point, [lon, lat])));
          // The plane that the nearest piece is looked for on loses 0.2 % at 60 km.
          const lost = 0.01 + corner * 0.002 * Math.min(1, corner / 60_000);
          return off <= corner + lost && meters >= 0 && meters <= lineLength(line) + 1e-6;
        },
      ),
      { numRuns: 300, examples: [[-21.9659473379662, -42.88737593318575]] },
    );
  });
});

const feature = (geometry: object | null, properties: object | null = null) => ({
  type: 'Feature',
  geometry,
  properties,
});
const collection = (features: object[], more: object = {}) =>
  JSON.stringify({ type: 'FeatureCollection', features, ...more });
const LINE = feature(
  {
    type: 'LineString',
    coordinates: [
      [10, 50],
      [10.2, 50],
    ],
  },
  { name: 'Road' },
);
const point = (name: unknown, coordinates: number[]) =>
  feature({ type: 'Point', coordinates }, { Name: name });

describe('GeoJSON that comes in', () => {
  it('gives lines, and closures along them', () => {
    const read = readGeoJson(
      collection([point('Mill', [10.1, 50.001, 230]), LINE, point(7, [10, 50])]),
    );
    if (!read.ok) throw new Error(read.error.code);
    const [mill, seven] = read.value.closures;
    expect(read.value.lines).toEqual([
      {
        name: 'Road',
        points: [
          [10, 50],
          [10.2, 50],
        ],
      },
    ]);
    expect(mill).toMatchObject({ name: 'Mill', position: [10.1, 50.001], line: 0 });
    expect(mill!.along!.meters).toBeCloseTo(metersBetween([10, 50], [10.1, 50]), -1);
    expect(seven).toMatchObject({ name: '7', along: { meters: 0 } });
  });

  it('passes over what it has no use for, and says so', () => {
    const area = feature({
      type: 'Polygon',
      coordinates: [
        [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 0],
        ],
      ],
    });
    const read = readGeoJson(
      collection([LINE, area, feature(null), feature({ type: 'Point', coordinates: [1, 2] })]),
    );
    expect(read.ok && read.value.notes).toEqual([
      { code: 'pointsWithoutName', count: 1 },
      { code: 'areas', count: 1 },
      { code: 'featuresWithoutPlace', count: 1 },
    ]);
  });

  it.each([
    ['no JSON', '{"type":', { code: 'noJson' }],
    ['another document', '{"type":"Topology"}', { code: 'noCollection' }],
    ['nothing of use', collection([]), { code: 'nothingFound' }],
    [
      'a projection that it names',
      collection([LINE], {
        crs: { type: 'name', properties: { name: 'urn:ogc:def:crs:EPSG::3857' } },
      }),
      { code: 'otherSystem', system: 'urn:ogc:def:crs:EPSG::3857' },
    ],
    [
      'a projection by its figures',
      collection([point('A', [1_234_567, 6_500_000])]),
      { code: 'featurePlace', feature: 1, problem: { code: 'noDegrees' } },
    ],
    [
      'crossed axes',
      collection([point('A', [46.5, 120.2])]),
      { code: 'featurePlace', problem: { code: 'axesCrossed' } },
    ],
    [
      'no place',
      collection([point('A', [200, 10])]),
      { code: 'featurePlace', problem: { code: 'noPlace' } },
    ],
    [
      'a name twice',
      collection([point('A', [1, 2]), point('A', [3, 4])]),
      { code: 'closureTwice', name: 'A' },
    ],
    [
      'half a line',
      collection([feature({ type: 'LineString', coordinates: [[1, 2]] })]),
      { code: 'featureInvalid', feature: 1 },
    ],
    [
      'text for figures',
      collection([feature({ type: 'Point', coordinates: ['1', '2'] })]),
      { code: 'featureInvalid', feature: 1 },
    ],
  ])('is refused: %s', (_, text, error) =>
    expect(readGeoJson(text)).toMatchObject({ ok: false, error }),
  );

  it('takes the usual system by any of its names', () => {
    const named = (name: string) =>
      collection([LINE], { crs: { type: 'name', properties: { name } } });
    for (const name of ['urn:ogc:def:crs:OGC:1.3:CRS84', 'EPSG:4326'])
      expect(readGeoJson(named(name)).ok).toBe(true);
  });

  it('is read with its axes swapped where a person says so', () => {
    const read = readGeoJson(collection([point('A', [46.5, 120.2])]), true);
    expect(read.ok && read.value.closures[0]!.position).toEqual([120.2, 46.5]);
  });

  it('never throws', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        readGeoJson(text);
        readGeoJson(collection([feature({ type: 'Point', coordinates: [1, 2] }, { name: text })]));
      }),
    );
  });
});

describe('GeoJSON that goes out', () => {
  const { closure } = closureView();
  const closures = [
    { ...closure, position: [-21.4, -43.2] as Position, distance: 31_000_000 },
    { ...closure, id: 'other', name: 'Ford', branchOf: closure.id },
  ];
  const route = [
    {
      name: 'Road',
      points: [
        [-21.4, -43.2],
        [-21.3, -43.1],
      ] as Position[],
    },
  ];
  const made = writeGeoJson({ name: 'Line', route, practiceOnly: true }, closures, () => ({
    verdict: 'pass',
    splices: 12,
    due: 12,
    simulated: 3,
    done: 12,
    worstDb: 0.04,
    meanDb: 0.02,
    signed: true,
  }));
  const text = JSON.stringify(made);

  it('is GeoJSON to another library', () => {
    expect(check(text).type).toBe('FeatureCollection');
  });

  it('reads back: the same places, and the same way to them', () => {
    const read = readGeoJson(text);
    if (!read.ok) throw new Error(read.error.code);
    expect(read.value.lines).toEqual(route);
    expect(read.value.closures.map(({ name, position }) => [name, position])).toEqual([
      ['Mill lane', [-21.4, -43.2]],
    ]);
    expect(read.value.notes).toEqual([{ code: 'featuresWithoutPlace', count: 1 }]);
  });

  it('says lengths in meters', () => {
    const { features } = made as { features: { properties: Record<string, unknown> }[] };
    expect(features[0]!.properties.lengthM).toBeCloseTo(lineLength(route[0]!.points), 1);
    expect(features[1]!.properties).toMatchObject({ distanceM: 3100, branchOf: null });
    expect(features[2]!.properties.branchOf).toBe('Mill lane');
  });
});
