import { USUAL_GLASS } from '../../record/fiberType.ts';
import type { Assembly, CableEntry } from '../../record/hardware.ts';
import type { Cable } from '../../record/cable.ts';
import type { Closure } from '../../record/closure.ts';
import { pathOf, routeOf, reversed } from './route.ts';

const TENTHS = 10_000;
const cable = (name: string, run: Partial<Cable['run']> = {}): Cable => ({
  id: name,
  projectId: 'p',
  name,
  makeUp: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  closureId: null,
  schemeId: 'tia-598',
  glass: USUAL_GLASS,
  run: { helix: 10_050, marks: [], end: null, ...run },
});
const closure = (name: string, meters: number | null): Closure => ({
  id: name,
  projectId: 'p',
  name,
  ordinal: 0,
  distance: meters === null ? null : meters * TENTHS,
  branchOf: null,
  position: null,
  trays: [],
});
const loops = (closureId: string, meters: Record<string, number>): Assembly => ({
  closureId,
  hardwareId: null,
  reach: 0,
  entries: Object.entries(meters).map(
    ([cableId, loop]) => ({ cableId, loop: loop * TENTHS }) as CableEntry,
  ),
});
const byId = <Row extends { id: string }>(rows: Row[]) => new Map(rows.map((row) => [row.id, row]));
const legs = [
  { cableId: 'A', fiber: 3, splice: { id: 's1', closureId: 'mill', tray: 1, isFused: true } },
  { cableId: 'B', fiber: 3, splice: { id: 's2', closureId: 'ford', tray: 2, isFused: true } },
  { cableId: 'C', fiber: 15, splice: null },
];
const setting = (marks: { closureId: string; mark: number }[] = []) => ({
  cables: byId([
    cable('A', { end: { name: 'rack', distance: 0, mark: null, coil: 10 * TENTHS } }),
    cable('B', { marks }),
    cable('C'),
  ]),
  closures: byId([closure('mill', 2000), closure('ford', 4500)]),
  assemblies: new Map([
    ['mill', loops('mill', { A: 6, B: 8 })],
    ['ford', loops('ford', { B: 12, C: 5 })],
  ]),
});

describe('the written route of a circuit', () => {
  const route = routeOf(legs, setting());

  it('distances and the coils at both ends; an outer end nobody placed is unknown', () => {
    expect(route.spans.map(({ sheathM: sheath }) => sheath)).toEqual([
      2000 + 10 + 6,
      2500 + 8 + 12,
      null,
    ]);
    expect(route.points.map(({ name }) => name)).toEqual([
      'rack',
      'mill',
      'ford',
      'the outer end of C',
    ]);
    expect(route.label).toBe('A 3');
  });

  it('sheath marks where both are known, coils counted in them, up or down', () => {
    const marked = routeOf(
      legs,
      setting([
        { closureId: 'mill', mark: 8000 * TENTHS },
        { closureId: 'ford', mark: 5470 * TENTHS },
      ]),
    );
    expect(marked.spans[1]).toMatchObject({ sheathM: 2530, marked: true });
  });

  it('one mark alone says nothing', () => {
    const marked = routeOf(legs, setting([{ closureId: 'mill', mark: 8000 * TENTHS }]));
    expect(marked.spans[1]).toMatchObject({ sheathM: 2520, marked: false });
  });

  it('walked from its other end it is the same route', () => {
    const back = reversed(route);
    expect(back.points.map(({ name }) => name).reverse()).toEqual(
      route.points.map(({ name }) => name),
    );
    expect(back.spans[1]!.coilsM).toEqual([12, 8]);
    expect(reversed(back)).toEqual(route);
    expect(pathOf(back)).not.toBe(pathOf(route));
  });
});
