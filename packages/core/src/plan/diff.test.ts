import { diffPlan, type Present } from './diff.ts';
import type { Placed } from './occupancy.ts';

const at = (fiber: number, slot: number, onto = fiber): Placed => ({
  tray: 1,
  slot,
  method: 'single',
  cableA: 'A',
  fiberA: fiber,
  legA: null,
  cableB: 'B',
  fiberB: onto,
  legB: null,
  end: null,
});
const there = (placed: Placed, worked = false): Present => ({
  ...placed,
  id: `${placed.fiberA}`,
  worked,
});

test('says what is added, kept, moved and dropped', () => {
  const change = diffPlan(
    [there(at(1, 1)), there(at(2, 2)), there(at(3, 3))],
    [at(1, 1), at(2, 5), at(4, 4)],
  );
  expect(change.kept.map((splice) => splice.fiberA)).toEqual([1]);
  expect(change.moved.map(({ to }) => [to.fiberA, to.slot])).toEqual([[2, 5]]);
  expect(change.dropped.map((splice) => splice.fiberA)).toEqual([3]);
  expect(change.added.map((splice) => splice.fiberA)).toEqual([4]);
  expect(change.refused).toEqual([]);
});

test('a splice that has evidence is neither dropped nor moved', () => {
  const change = diffPlan([there(at(1, 1), true), there(at(2, 2), true)], [at(2, 6)]);
  expect(change.dropped).toEqual([]);
  expect(change.refused.map(({ message }) => message)).toMatchObject([
    { code: 'hasEvidence', fibers: { pairs: [{ cableA: 'A', fiberA: 1 }] } },
    { code: 'staysAt', fibers: { pairs: [{ cableA: 'A', fiberA: 2 }] }, tray: 1, slot: 2 },
  ]);
});

test('a splice that has evidence is removed only where that is allowed, and never moved', () => {
  const made = [there(at(1, 1), true), there(at(2, 2), true), there(at(3, 3))];
  const change = diffPlan(made, [at(2, 6)], true);
  expect(change.retired.map((splice) => splice.fiberA)).toEqual([1]);
  expect(change.dropped.map((splice) => splice.fiberA)).toEqual([3]);
  expect(change.refused).toMatchObject([{ cut: false, message: { code: 'staysAt' } }]);
  const refused = diffPlan(made, [at(2, 2)]).refused;
  expect(refused).toMatchObject([{ cut: true, message: { code: 'hasEvidence' } }]);
});

test('a splice is the same whichever fiber is named first', () => {
  const turned = { ...at(7, 1, 9), cableA: 'B', fiberA: 9, cableB: 'A', fiberB: 7 };
  const change = diffPlan([there(at(7, 1, 9), true)], [turned]);
  expect(change.kept).toHaveLength(1);
  expect(change.added).toEqual([]);
});
