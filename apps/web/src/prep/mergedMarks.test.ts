import { mergedMarks } from './mergedMarks';

test('marks at one place become one, and a cut counts before a trim', () => {
  const kept = { lengthTenthsMm: 100 };
  const merged = mergedMarks([
    { at: 0, kind: 'ring cut', message: { code: 'firstRingCut' }, round: 'up' },
    { at: 100, kind: 'trim', message: { code: 'aramidEnds' }, round: 'up' },
    { at: 100, kind: 'tube cut', message: { code: 'tubesEnd', kept }, round: 'up' },
    { at: 200, kind: 'trim', message: { code: 'rods', kept }, round: 'up' },
  ]);
  expect(
    merged.map(({ at, kind, messages }) => [at, kind, messages.map(({ code }) => code)]),
  ).toEqual([
    [0, 'ring cut', ['firstRingCut']],
    [100, 'tube cut', ['aramidEnds', 'tubesEnd']],
    [200, 'trim', ['rods']],
  ]);
});
