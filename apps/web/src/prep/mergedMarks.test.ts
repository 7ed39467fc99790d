import { mergedMarks } from './mergedMarks';

test('marks at one place become one, and a cut counts before a trim', () => {
  const merged = mergedMarks([
    { at: 0, kind: 'ring cut', words: 'zero', round: 'up' },
    { at: 100, kind: 'trim', words: 'aramid', round: 'up' },
    { at: 100, kind: 'tube cut', words: 'tubes', round: 'up' },
    { at: 200, kind: 'trim', words: 'rods', round: 'up' },
  ]);
  expect(merged.map(({ at, kind, words }) => [at, kind, words])).toEqual([
    [0, 'ring cut', 'zero'],
    [100, 'tube cut', 'aramid; tubes'],
    [200, 'trim', 'rods'],
  ]);
});
