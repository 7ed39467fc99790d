import type { MakeUp } from '../../record/cable.ts';
import type { Splice } from '../../record/splice.ts';
import { unitsAs } from './runs.ts';
import { shiftUnits } from './units.ts';

const CABLES: Record<string, MakeUp> = {
  A: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  R: { kind: 'ribbon', ribbons: 2 },
  T: { kind: 'ribbon', ribbons: 2 },
  D: { kind: 'drop', fibers: 4 },
};
const cableOf = (id: string) => (CABLES[id] ? { name: id, makeUp: CABLES[id] } : undefined);
const splice = (
  cableA: string,
  fiber: number,
  cableB: string,
  slot: number,
  method: Splice['method'] = 'single',
): Splice => ({
  id: `${cableA}${fiber}`,
  projectId: 'p',
  closureId: 'k',
  tray: 1,
  slot,
  cableA,
  fiberA: fiber,
  legA: null,
  cableB,
  fiberB: fiber,
  legB: null,
  end: null,
  method,
  extra: {},
});

describe('what a shift is made of', () => {
  it('a tube with what is left of it: 12 fibers are 12 sleeves', () => {
    const left = [13, 14, 15].map((fiber) => splice('A', fiber, 'D', fiber));
    expect(shiftUnits(left, cableOf)).toEqual([
      { label: 'A tube 2', sleeves: 3, fibers: 1, way: 'single' },
    ]);
  });

  it('ribbons are one sleeve of twelve; loose fibers by mass are ribbonized', () => {
    const twelve = (cable: string, onto: string, slot: number) =>
      Array.from({ length: 12 }, (_, at) => splice(cable, at + 1, onto, slot, 'mass'));
    expect(shiftUnits([...twelve('R', 'T', 1), ...twelve('A', 'T', 2)], cableOf)).toEqual([
      { label: 'R ribbon 1', sleeves: 1, fibers: 12, way: 'ribbon', isRibbon: true },
      { label: 'A tube 1', sleeves: 1, fibers: 12, way: 'ribbonized' },
    ]);
  });

  it('ribbons spliced one by one are no loose tubes: nothing of them is ribbonized', () => {
    const units = shiftUnits(
      [1, 2, 3].map((fiber) => splice('R', fiber, 'T', fiber)),
      cableOf,
    );
    expect(units).toEqual([
      { label: 'R ribbon 1', sleeves: 3, fibers: 1, way: 'single', isRibbon: true },
    ]);
    expect(unitsAs(units, 'ribbonized')).toEqual(units);
  });

  it('goes in the order of the trays, and leaves out what it does not know', () => {
    const list = [splice('A', 13, 'D', 9), splice('D', 1, 'A', 2), splice('X', 1, 'A', 1)];
    expect(shiftUnits(list, cableOf).map(({ label }) => label)).toEqual(['D', 'A tube 2']);
  });
});
