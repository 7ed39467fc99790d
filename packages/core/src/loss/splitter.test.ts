import { SPLITTER_OUTPUTS, makeUpSchema } from '../record/cable.ts';
import { idealSplitMdb, splitterLossMdb } from './splitter.ts';

const equal = (outputs: number) => ({ kind: 'splitter' as const, outputs });

test.each([
  [2, 3500],
  [4, 7200],
  [8, 10_500],
  [16, 13_800],
  [32, 17_100],
  [64, 20_500],
])('1:%i loses %i thousandths of a dB at most (ITU-T G.671, from memory)', (outputs, most) => {
  expect(splitterLossMdb(equal(outputs), 1)).toBe(most);
  expect(splitterLossMdb(equal(outputs), outputs)).toBe(most);
});

test('no splitter is better than an ideal one, and each doubling costs 3 dB at least', () => {
  for (const outputs of SPLITTER_OUTPUTS)
    expect(splitterLossMdb(equal(outputs), 1)).toBeGreaterThan(idealSplitMdb(1 / outputs));
  expect(idealSplitMdb(1 / 2)).toBe(3010);
  expect(idealSplitMdb(1 / 64)).toBe(18_062);
});

test('a tap of 10 % loses 10 dB and its excess at the tapped output, under 1 dB at the other', () => {
  const tap = { ...equal(2), tapPercent: 10 };
  expect(splitterLossMdb(tap, 2)).toBe(10_490);
  expect(splitterLossMdb(tap, 1)).toBe(458 + 490);
});

test("the sheet's figure stands for the usual one", () => {
  expect(splitterLossMdb({ ...equal(8), lossMdb: 10_100 }, 3)).toBe(10_100);
});

test.each([
  [{ ...equal(3) }, 'outputs'],
  [{ ...equal(8), tapPercent: 10 }, 'tapPercent'],
  [{ ...equal(2), tapPercent: 50 }, 'tapPercent'],
])('%j is no splitter', (makeUp, field) => {
  expect(makeUpSchema.safeParse(makeUp).error?.issues[0]!.path).toEqual([field]);
});
