import { BUILT_IN_SCHEMES, type ListCable, type Placed } from '@cordel/core';
import { traysOf } from './traysOf';

const scheme = BUILT_IN_SCHEMES[0]!;
const cables: ListCable[] = [
  { name: 'A', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme },
  { name: 'R', makeUp: { kind: 'ribbon', ribbons: 4 }, scheme },
];
const trays = [1, 2].map((number) => ({ number, single: 24, mass: 6 }));
const placed = (from: string, fiber: number, slot: number, method: Placed['method']): Placed => ({
  tray: 1,
  slot,
  cableA: from,
  fiberA: fiber,
  cableB: 'B',
  fiberB: fiber + 100,
  legA: null,
  legB: null,
  end: null,
  method,
});
const run = (from: string, first: number, count: number, slotOf: (index: number) => number) =>
  Array.from({ length: count }, (_, index) =>
    placed(from, first + index, slotOf(index), from === 'R' ? 'mass' : 'single'),
  );

test('tubes of a tray one after the other, with their slots and where they go', () => {
  const [tray, empty] = traysOf(
    run('A', 7, 12, (index) => index + 1),
    trays,
    cables,
  );
  expect(tray).toMatchObject({ kind: 'single', places: 24, used: 12 });
  expect(tray!.items.map(({ words, slots, onto }) => [words, slots, onto])).toEqual([
    // Half of each tube is planned: its fibers are named, so that nobody takes it for the whole.
    ['tube 1, 7-12', [1, 6], 'B 107-112'],
    ['tube 2, 13-18', [7, 12], 'B 113-118'],
  ]);
  expect(empty).toMatchObject({ used: 0, items: [] });
});

test('a ribbon takes one slot', () => {
  const [tray] = traysOf(
    run('R', 1, 24, (index) => Math.floor(index / 12) + 1),
    trays,
    cables,
  );
  expect(tray).toMatchObject({ kind: 'mass', places: 6, used: 2 });
  expect(tray!.items.map(({ words, sleeves }) => [words, sleeves])).toEqual([
    ['ribbon 1', 1],
    ['ribbon 2', 1],
  ]);
});
