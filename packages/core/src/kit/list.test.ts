import { enteringCable } from '../prep/assembly.ts';
import { BUILT_IN_HARDWARE } from '../prep/hardware.ts';
import { sealPorts } from '../prep/seal.ts';
import type { MakeUp } from '../record/cable.ts';
import type { Hardware } from '../record/hardware.ts';
import { USUAL_PRACTICE } from '../record/practice.ts';
import { type KitThing, kitList } from './list.ts';

const splice = (index: number, method: 'single' | 'mass') => ({
  tray: 1,
  slot: method === 'single' ? index + 1 : 40 + Math.floor(index / 12),
  cableA: 'loose',
  fiberA: index + 1,
  cableB: 'ribbon',
  fiberB: index + 1,
  method,
});
const isLoose = (cable: string) => cable === 'loose';
const countOf = (list: ReturnType<typeof kitList>, code: KitThing['code']) =>
  list.find(({ item }) => item.code === code)?.count;

test('sleeves by kind, with 5 in 100 for redos, rounded up', () => {
  const splices = [
    ...Array.from({ length: 24 }, (_, index) => splice(index, 'single')),
    ...Array.from({ length: 36 }, (_, index) => splice(index, 'mass')),
  ];
  const list = kitList(
    [{ hardware: null, splices, ports: [], entries: [] }],
    USUAL_PRACTICE,
    isLoose,
  );
  // 24 x 1.05 = 25.2; 3 x 1.05 = 3.15; 27 sleeves of 2 ends each x 1.05 = 56.7.
  expect(countOf(list, 'singleSleeves')).toBe(26);
  expect(countOf(list, 'ribbonSleeves')).toBe(4);
  expect(countOf(list, 'wipes')).toBe(57);
  // A lower pad serves two ribbons, an upper one: three ribbons of loose fibers and a spare.
  expect(countOf(list, 'upperPads')).toBe(4);
  expect(countOf(list, 'lowerPads')).toBe(2);
});

test('only the tubes that are opened need solvent', () => {
  const makeUp: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
  const entry = {
    id: 'x',
    cableId: 'x',
    kind: 'express' as const,
    diameter: null,
    port: null,
    portOut: null,
    loop: 0,
    tubes: [{ unit: 3, way: 'window' as const }],
    armoured: true,
    tracer: false,
    route: 0,
    inside: 0,
    conduit: 0,
    done: [],
  };
  const list = kitList(
    [{ hardware: null, splices: [], ports: [], entries: [{ entry, makeUp, plan: null }] }],
    USUAL_PRACTICE,
    isLoose,
  );
  expect(countOf(list, 'solvent')).toBe(10);
  // One on each leg.
  expect(countOf(list, 'shieldConnectors')).toBe(2);
});

describe('a closure and its kit', () => {
  const hardware = BUILT_IN_HARDWARE.find(({ id }) => id === 'in-line')!;
  const makeUp: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
  const entering = (id: string, kind: 'end' | 'express') => ({
    ...enteringCable(id, id, kind),
    diameter: kind === 'end' ? 60 : 135,
    armoured: kind === 'express',
  });
  const listFor = (own: Hardware) => {
    const entries = [entering('E', 'express'), entering('B', 'end')];
    return kitList(
      [
        {
          hardware: own,
          splices: Array.from({ length: 12 }, (_, index) => splice(index, 'single')),
          ports: sealPorts(own, entries).ports,
          entries: entries.map((entry) => ({ entry, makeUp, plan: null })),
        },
      ],
      USUAL_PRACTICE,
      isLoose,
    );
  };

  test('both legs of an express cable have their seal, clamp and bond', () => {
    const list = listFor(hardware);
    expect(list.find(({ item }) => 'name' in item && item.name === 'Split seal 2')!.count).toBe(2);
    // Two legs of the one cable, and the other.
    expect(countOf(list, 'hoseClamps')).toBe(3);
    expect(countOf(list, 'shieldConnectors')).toBe(2);
    expect(countOf(list, 'sealingTape')).toBe(3);
    expect(countOf(list, 'labels')).toBe(3);
  });

  test('what is made for the closure comes from the store, what is used up from the van', () => {
    const parts = [
      { name: 'tie bar', count: 2, per: 'cable' as const, from: 'store' as const },
      { name: 'desiccant', count: 1, per: 'closure' as const, from: 'van' as const },
    ];
    const list = listFor({ ...hardware, parts });
    const from = (place: string) =>
      list
        .filter((one) => one.from === place)
        .map(({ item }) => ('name' in item ? item.name : item.code));
    expect(from('store')).toEqual(
      expect.arrayContaining([
        'In-line express case',
        'tie bar',
        'Split seal 2',
        'shieldConnectors',
      ]),
    );
    expect(from('van')).toEqual(
      expect.arrayContaining(['desiccant', 'sealant', 'singleSleeves', 'labels']),
    );
    expect(
      countOf(
        list.filter(({ item }) => 'name' in item && item.name === 'tie bar'),
        'part',
      ),
    ).toBe(4);
  });

  test('sleeves are those that the trays hold', () => {
    const small = BUILT_IN_HARDWARE.find(({ id }) => id === 'gel-drop')!;
    const [sleeves] = listFor(small).filter(({ item }) => item.code === 'singleSleeves');
    expect(sleeves!.item).toEqual({ code: 'singleSleeves', sleeve: '40 mm' });
  });
});
