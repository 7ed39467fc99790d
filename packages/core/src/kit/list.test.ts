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
  end: null,
});
const makeUpOf = (cable: string): MakeUp | undefined =>
  ({
    loose: { kind: 'loose-tube' as const, tubes: 2, fibersPerTube: 12 },
    ribbon: { kind: 'ribbon' as const, ribbons: 3 },
    terminal: {
      kind: 'ports' as const,
      place: 'terminal' as const,
      ports: 8,
      connector: 'SC' as const,
      polish: 'APC' as const,
    },
    module: {
      kind: 'ports' as const,
      place: 'module' as const,
      ports: 6,
      connector: 'array' as const,
      polish: 'APC' as const,
    },
  })[cable];
const countOf = (list: ReturnType<typeof kitList>, code: KitThing['code']) =>
  list.find(({ item }) => item.code === code)?.count;

test('sleeves by kind, with 5 in 100 for redos, rounded up', () => {
  const splices = [
    ...Array.from({ length: 24 }, (_, index) => splice(index, 'single')),
    ...Array.from({ length: 36 }, (_, index) => splice(index, 'mass')),
  ];
  const list = kitList(
    [{ hardware: null, splitters: [], splices, ports: [], entries: [] }],
    USUAL_PRACTICE,
    makeUpOf,
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
    [
      {
        hardware: null,
        splitters: [],
        splices: [],
        ports: [],
        entries: [{ entry, makeUp, plan: null }],
      },
    ],
    USUAL_PRACTICE,
    makeUpOf,
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
          splitters: [],
          splices: Array.from({ length: 12 }, (_, index) => splice(index, 'single')),
          ports: sealPorts(own, entries).ports,
          entries: entries.map((entry) => ({ entry, makeUp, plan: null })),
        },
      ],
      USUAL_PRACTICE,
      makeUpOf,
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

test('ends: pigtails and connectors by what their ports take, spares rounded up', () => {
  const end = (index: number, cableB: string, way: 'pigtail' | 'mechanical' | 'splice-on') => ({
    ...splice(index, 'single'),
    cableB,
    ...(way === 'pigtail' ? {} : { tray: 0 }),
    end: way,
  });
  const splices = [
    ...Array.from({ length: 4 }, (_, index) => end(index, 'terminal', 'mechanical')),
    ...Array.from({ length: 2 }, (_, index) => end(4 + index, 'terminal', 'splice-on')),
    ...Array.from({ length: 24 }, (_, index) => end(6 + index, 'module', 'pigtail')),
  ];
  const splitters = [{ kind: 'splitter' as const, outputs: 8 }];
  const list = kitList(
    [{ hardware: null, splitters, splices, ports: [], entries: [] }],
    USUAL_PRACTICE,
    makeUpOf,
  );
  const count = (item: KitThing) =>
    list.find((one) => expect.objectContaining(item).asymmetricMatch(one.item))?.count;
  // 4 x 1.05 = 4.2 mechanical connectors; nothing is fused, so no sleeve is theirs.
  const port = { connector: 'SC', polish: 'APC' } as const;
  expect(count({ code: 'connectors', ...port, way: 'mechanical' })).toBe(5);
  expect(count({ code: 'connectors', ...port, way: 'splice-on' })).toBe(3);
  expect(count({ code: 'singleSleeves', sleeve: '27 mm' })).toBe(3);
  // Two arrays of twelve, and one to spare; their 24 fibers lie in sleeves on the tray.
  expect(count({ code: 'pigtails', connector: 'array', polish: 'APC' })).toBe(3);
  expect(count({ code: 'singleSleeves', sleeve: '60 mm' })).toBe(26);
  expect(list.find(({ item }) => item.code === 'splitter')).toMatchObject({
    item: { outputs: 8 },
    count: 1,
    from: 'store',
  });
});
