import { alignTrace } from './alignTrace.ts';
import { zonesOf } from '../measure/zones.ts';
import { HELIX, fiberTo, lineOf, echo, reflection, splice } from './line.testing.ts';
import { fitRoutes } from './fitRoutes.ts';
import { whereIs, faultLocation } from '../diagnose/faultLocation.ts';
import type { WhereMessage } from '../messages.ts';

const SHEATH = [2000, 3000, 2500];
// Coils of 20 m on either side of both closures.
const to = fiberTo([2020, 3040, 2520]);
const marks: [number | null, number | null][] = [
  [100, 2120],
  [9000, 5960],
  [50, 2570],
];
const peers = Array.from({ length: 8 }, (_, fiber) => ({
  id: `${fiber}`,
  events: [splice(to[1]!), splice(to[2]!)],
  endM: to[3]!,
}));
const group = fitRoutes([
  {
    key: 'A',
    route: lineOf({
      sheath: SHEATH,
      coils: [
        [0, 20],
        [20, 20],
        [20, 0],
      ],
      marks,
    }),
    traces: peers,
  },
]).groups.get('A')!;
const align = (events: ReturnType<typeof splice>[], end: number | null) =>
  alignTrace({ id: 't', events, endM: end }, group, true);

describe('a trace aligned with its route', () => {
  it('each event at its closure; those at none are unmatched', () => {
    const aligned = align([splice(to[1]! + 3), splice(3500), splice(to[2]! - 2)], to[3]!);
    expect(aligned.found.map((event) => event && Math.round(event.positionM))).toEqual([
      null,
      Math.round(to[1]! + 3),
      Math.round(to[2]! - 2),
      null,
    ]);
    expect(aligned.unmatched).toMatchObject([{ kind: 'unplanned', event: { positionM: 3500 } }]);
  });

  it('an echo is none that was not planned', () => {
    const aligned = align([reflection(1200, 0.3), echo(2400), splice(to[2]!)], to[3]!);
    expect(aligned.unmatched.map(({ kind }) => kind)).toEqual(['unplanned', 'ghost']);
    const real = align([reflection(1200, 0.3), reflection(2400, 0.4)], to[3]!);
    expect(real.unmatched.map(({ kind }) => kind)).toEqual(['unplanned', 'unplanned']);
  });

  it('an end that comes early, and fiber behind the end', () => {
    expect(align([splice(to[1]!)], 4000).early).toMatchObject({ positionM: 4000 });
    expect(align([splice(to[1]!), splice(to[2]!)], to[3]!).early).toBeNull();
    expect(align([splice(to[1]!), splice(to[2]!)], to[3]! + 500).lateM).toBeCloseTo(500, 0);
  });

  it('a launch fiber that only this file has', () => {
    const aligned = align(
      [reflection(502), splice(to[1]! + 502), splice(to[2]! + 502)],
      to[3]! + 502,
    );
    expect(Math.abs(aligned.shiftM - 502)).toBeLessThan(3);
    expect(aligned.points[1]!.positionM).toBeCloseTo(to[1]! + 502, 0);
    expect(aligned.unmatched).toEqual([]);
    expect([aligned.early, aligned.lateM]).toEqual([null, 0]);
  });

  it('zones of events within a pulse are one, and none lies behind a break', () => {
    const aligned = align([splice(to[1]!), splice(to[1]! + 40)], 4000);
    const { zones, points } = zonesOf(aligned, (meters) => meters, 60);
    expect(points).toEqual([1]);
    expect(zones).toHaveLength(1);
    expect(zones[0]!.endIndex).toBeGreaterThan(to[1]! + 100);
  });
});

describe('where to go', () => {
  it('sheath from the nearest closure, by the fiber the trace itself shows between both', () => {
    const place = faultLocation(to[1]! + 500 * HELIX, 2, group)!;
    expect(place).toMatchObject({ from: 'weir', toward: 'mill', cable: 'B', inCoil: false });
    expect(place.sheathM).toBeCloseTo(500, 0);
  });

  it('by sheath mark, running down or up', () => {
    expect(faultLocation(to[1]! + 500 * HELIX, 2, group)!.markM).toBeCloseTo(8500, 0);
    expect(faultLocation(to[2]! - 500 * HELIX, 2, group)!.markM).toBeCloseTo(6460, 0);
    expect(faultLocation(to[2]! + 100 * HELIX, 2, group)!.markM).toBeCloseTo(150, 0);
  });

  it('in the coil at a closure', () => {
    const place = faultLocation(to[2]! + 12 * HELIX, 2, group)!;
    expect(place).toMatchObject({ from: 'mill', inCoil: true, cable: 'C' });
    const where = whereIs(place);
    expect(where).toMatchObject({ code: 'inLoopMark', cable: 'C', from: 'mill' });
    const { sheath, mark } = where as Extract<WhereMessage, { code: 'inLoopMark' }>;
    expect([Math.round(sheath.tapeM), Math.round(mark.tapeM)]).toEqual([12, 62]);
  });

  it('the farther from a closure, the less sure', () => {
    const near = faultLocation(to[1]! + 50, 2, group)!.sigmaM;
    const far = faultLocation(to[1]! + 1400, 2, group)!.sigmaM;
    expect(far).toBeGreaterThan(near);
  });
});
