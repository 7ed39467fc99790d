import type { Closure } from '@cordel/core';
import { sortClosures } from './closureSorts';

const closure = (name: string, distance: number | null, trays: number, ordinal: number) =>
  ({
    id: name,
    name,
    distance,
    ordinal,
    trays: Array.from({ length: trays }, (_, index) => ({
      number: index + 1,
      single: 12,
      mass: 0,
    })),
  }) as unknown as Closure;

const list = [
  closure('Pole 10', 900, 2, 0),
  closure('Pole 9', null, 4, 1),
  closure('Pole 11', null, 4, 2),
  closure('Hut', 100, 2, 3),
];
const names: Record<string, string> = { 'Pole 10': 'Rack', Hut: 'Dome' };
const sorted = (sort: Parameters<typeof sortClosures>[1]) =>
  sortClosures(list, sort, (id) => names[id] ?? '').map(({ name }) => name);

test('closures by their place, name, trays and hardware; what is unknown keeps its order', () => {
  expect(sorted('route')).toEqual(['Hut', 'Pole 10', 'Pole 9', 'Pole 11']);
  expect(sorted('name')).toEqual(['Hut', 'Pole 9', 'Pole 10', 'Pole 11']);
  expect(sorted('trays')).toEqual(['Pole 9', 'Pole 11', 'Hut', 'Pole 10']);
  expect(sorted('hardware')).toEqual(['Pole 9', 'Pole 11', 'Hut', 'Pole 10']);
});
