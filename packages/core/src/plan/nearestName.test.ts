import { nearestName } from './nearestName.ts';

const names = ['North trunk', 'South trunk', 'A', 'B', 'Mill lane'];

it.each([
  ['north trunk', 'North trunk'],
  ['NorthTrunk', 'North trunk'],
  ['Nort trunk', 'North trunk'],
  ['mill-lane', 'Mill lane'],
  ['Mil lane', 'Mill lane'],
])('%s is meant as %s', (typed, name) => expect(nearestName(typed, names)).toBe(name));

it.each(['C', 'East', 'harbour'])('%s is near to none', (typed) =>
  expect(nearestName(typed, names)).toBeNull(),
);
