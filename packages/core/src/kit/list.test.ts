import type { MakeUp } from '../record/cable.ts';
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
    done: [],
  };
  const list = kitList(
    [{ hardware: null, splices: [], ports: [], entries: [{ entry, makeUp, plan: null }] }],
    USUAL_PRACTICE,
    isLoose,
  );
  expect(countOf(list, 'solvent')).toBe(10);
  expect(countOf(list, 'shieldConnectors')).toBe(1);
});
