import { diffPlan, type Present } from './diff.ts';
import type { Placed } from './occupancy.ts';

const at = (fiber: number, slot: number, onto = fiber): Placed => ({
  tray: 1,
  slot,
  method: 'single',
  cableA: 'A',
  fiberA: fiber,
  cableB: 'B',
  fiberB: onto,
});
const there = (placed: Placed, worked = false): Present => ({
  ...placed,
  id: `${placed.fiberA}`,
  worked,
});
const name = (splice: Placed) => `${splice.cableA} ${splice.fiberA}`;

test('says what is added, kept, moved and dropped', () => {
  const change = diffPlan(
    [there(at(1, 1)), there(at(2, 2)), there(at(3, 3))],
    [at(1, 1), at(2, 5), at(4, 4)],
    name,
  );
  expect(change.kept.map((splice) => splice.fiberA)).toEqual([1]);
  expect(change.moved.map(({ to }) => [to.fiberA, to.slot])).toEqual([[2, 5]]);
  expect(change.dropped.map((splice) => splice.fiberA)).toEqual([3]);
  expect(change.added.map((splice) => splice.fiberA)).toEqual([4]);
  expect(change.refused).toEqual([]);
});

test('a splice that has evidence is neither dropped nor moved', () => {
  const change = diffPlan([there(at(1, 1), true), there(at(2, 2), true)], [at(2, 6)], name);
  expect(change.dropped).toEqual([]);
  expect(change.refused.map(({ message }) => message)).toEqual([
    'A 1 is spliced or ruled on: a plan drops it only where its joint is cut away.',
    'A 2 is spliced in tray 1 slot 2 already: it stays there.',
  ]);
});

test('a splice that has evidence is cut away only where that is allowed, and never moved', () => {
  const made = [there(at(1, 1), true), there(at(2, 2), true), there(at(3, 3))];
  const change = diffPlan(made, [at(2, 6)], name, true);
  expect(change.retired.map((splice) => splice.fiberA)).toEqual([1]);
  expect(change.dropped.map((splice) => splice.fiberA)).toEqual([3]);
  expect(change.refused).toMatchObject([{ cut: false, message: expect.stringMatching(/^A 2/) }]);
  const refused = diffPlan(made, [at(2, 2)], name).refused;
  expect(refused).toMatchObject([{ cut: true, message: expect.stringMatching(/^A 1/) }]);
});

test('a splice is the same whichever fiber is named first', () => {
  const turned = { ...at(7, 1, 9), cableA: 'B', fiberA: 9, cableB: 'A', fiberB: 7 };
  const change = diffPlan([there(at(7, 1, 9), true)], [turned], name);
  expect(change.kept).toHaveLength(1);
  expect(change.added).toEqual([]);
});
