import { planConflicts } from './planConflicts.ts';

const F = { name: 'F', makeUp: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 } as const };
const range = (first: number, last: number) =>
  Array.from({ length: last - first + 1 }, (_, index) => first + index);

test('a cable that is said to end, and passes by its plan', () => {
  expect(planConflicts({ kind: 'end' }, F, [], range(13, 24))).toEqual([
    { code: 'passesButEnds', cable: 'F', runs: '13-24' },
  ]);
  expect(planConflicts({ kind: 'express' }, F, [], range(13, 24))).toEqual([]);
});

test('a tube that is cut while fibers in it pass; a window leaves them whole', () => {
  const tubes = (way: 'dedicate' | 'window') => [{ unit: 1, way }];
  const conflict = planConflicts({ kind: 'express' }, F, tubes('dedicate'), range(9, 20));
  expect(conflict).toEqual([{ code: 'passesInCutTube', unit: 1, runs: '9-12' }]);
  expect(planConflicts({ kind: 'express' }, F, tubes('window'), range(9, 20))).toEqual([]);
  expect(planConflicts({ kind: 'express' }, F, tubes('dedicate'), range(13, 20))).toEqual([]);
});
