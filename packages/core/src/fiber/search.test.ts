import type { Cable } from '../record/cable.ts';
import { USUAL_RUN } from '../record/cableRun.ts';
import { USUAL_GLASS } from '../record/fiberType.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';
import { readSearch } from './search.ts';

const tia = BUILT_IN_SCHEMES[0]!;
const cable = (name: string, makeUp: Cable['makeUp']): Cable => ({
  id: '019da9e7-4800-7000-8000-000000000001',
  projectId: '019da9e7-4800-7000-8000-000000000000',
  name,
  makeUp,
  closureId: null,
  schemeId: tia.id,
  glass: USUAL_GLASS,
  run: USUAL_RUN,
});
const a = cable('A', { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 });
const r = cable('R', { kind: 'ribbon', ribbons: 24 });
const DROP_ID = '019da9e7-4800-7000-8000-000000000003';
const RIBBON_ID = '019da9e7-4800-7000-8000-000000000002';
const cables = [
  a,
  { ...r, id: RIBBON_ID },
  { ...cable('North 144', { kind: 'drop', fibers: 12 }), id: DROP_ID },
];
const schemes = new Map(BUILT_IN_SCHEMES.map((scheme) => [scheme.id, scheme]));
const read = (line: string) => readSearch(line, cables, schemes);
const inA = (line: string) => read(line).fibers?.get(a.id) ?? [];
const inR = (line: string) => read(line).fibers?.get(RIBBON_ID) ?? [];
const run = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index);

describe('a search line', () => {
  it('A 100 is one fiber of one cable', () => {
    for (const line of ['A 100', 'a 100', 'A: 100']) expect(inA(line)).toEqual([100]);
    expect(inR('A 100')).toEqual([]);
    expect(inR('100')).toEqual([100]);
  });

  it('a cable alone is all its fibers, and its name may have blanks', () => {
    expect(inA('A')).toEqual(run(1, 144));
    expect(read('North 144 7').fibers).toEqual(new Map([[DROP_ID, [7]]]));
  });

  it('a port is one of a place with ports, and a place is found by its whole name', () => {
    const makeUp = {
      kind: 'ports',
      place: 'terminal',
      ports: 24,
      connector: 'LC',
      polish: 'UPC',
    } as const;
    const panel = { ...cable('Panel 1', makeUp), id: '019da9e7-4800-7000-8000-000000000004' };
    const found = (line: string) => readSearch(line, [...cables, panel], schemes).fibers;
    expect(found('port 3')).toEqual(new Map([[panel.id, [3]]]));
    expect(found('Panel 1 port 3')).toEqual(new Map([[panel.id, [3]]]));
    expect(found('ports 3-4')).toEqual(new Map([[panel.id, [3, 4]]]));
    expect(found('panel 1')).toEqual(new Map([[panel.id, run(1, 24)]]));
    expect(found('tube 3')!.has(panel.id)).toBe(false);
  });

  it('tube 9 is its twelve fibers, and so is ribbon 9', () => {
    for (const line of ['tube 9', 't9', 'tube yellow']) expect(inA(line)).toEqual(run(97, 108));
    expect(inR('ribbon 9')).toEqual(run(97, 108));
  });

  // As everywhere: a slash is a place, a dash a range.
  it('is read as forms, plans and lists are', () => {
    expect(inA('A 7/12')).toEqual([84]);
    expect(inA('A 7-12')).toEqual(run(7, 12));
    expect(inA('T7 F12')).toEqual([84]);
    expect(inA('tube 7 brown')).toEqual([76]);
    expect(inA('BL/OR')).toEqual([2]);
    expect(inA('blue slate')).toEqual([5]);
    expect(inA('A 3, 5')).toEqual([3, 5]);
  });

  it('a color is a fiber’s or its tube’s', () => {
    const brown = inA('brown');
    expect(brown).toContain(4);
    expect(brown).toContain(37);
    expect(brown).toHaveLength(12 + 11);
  });

  it('a color in a named tube is the fiber’s', () => {
    expect(inA('tube 9 brown')).toEqual([100]);
    expect(inA('A tube 4 brown')).toEqual([40]);
  });

  it('a tray and words are not asked of fibers', () => {
    expect(read('tray 4 weir')).toEqual({ tray: 4, text: ['weir'], fibers: null });
    expect(read('tray 4 A 100')).toMatchObject({ tray: 4, text: [] });
    expect(inA('tray 4 A 100')).toEqual([100]);
  });

  it('what no cable has is found in none', () => {
    expect([...(read('A 999').fibers?.values() ?? [])].flat()).toEqual([]);
    expect(read('A 999').fibers).not.toBeNull();
  });

  it('finds a color by the name of another national order', () =>
    expect(inA('grey')).toEqual(inA('slate')));
});
