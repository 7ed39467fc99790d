import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import type { Present } from './diff.ts';
import type { ListCable } from './spliceList.ts';
import { type PlanTask, evaluatePlan } from './evaluatePlan.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const cables: ListCable[] = ['A', 'B'].map((name) => ({
  name,
  makeUp: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
  scheme,
}));
const trays = [1, 2, 3].map((number) => ({ number, single: 12, mass: 0 }));
const present = (fiber: number, tray: number, slot: number, worked = false): Present => ({
  id: `${fiber}`,
  cableA: 'A',
  fiberA: fiber,
  legA: null,
  cableB: 'B',
  fiberB: fiber,
  legB: null,
  end: null,
  tray,
  slot,
  method: 'single',
  worked,
});
const evaluate = (text: string, part: Partial<PlanTask<Present>> = {}) =>
  evaluatePlan({
    text,
    pins: [],
    spare: 0,
    anew: false,
    retire: false,
    cables,
    trays,
    there: [],
    ...part,
  });

test('a new plan is laid out tube by tube, and adds all of it', () => {
  const { change, layout, errors, obstacles } = evaluate('splice A all to B all');
  expect([errors, obstacles]).toEqual([[], []]);
  expect(change.added).toHaveLength(24);
  expect(layout).toMatchObject({ trays: 2, leastTrays: 2, splits: 0 });
});

describe('what is planned already', () => {
  const there = [present(1, 3, 7), present(2, 3, 8)];

  test('keeps its place', () => {
    const { change } = evaluate('splice A 1-2 to B 1-2', { there });
    expect(change.kept).toHaveLength(2);
    expect(change.moved).toEqual([]);
  });

  test('is laid out anew where that is asked for', () => {
    const { change } = evaluate('splice A 1-2 to B 1-2', { there, anew: true });
    expect(change.moved.map(({ to }) => [to.tray, to.slot])).toEqual([
      [1, 1],
      [1, 2],
    ]);
  });

  test('goes where a pin wants it', () => {
    const pins = [{ cable: 'B', unit: 1, tray: 2 }];
    const { change } = evaluate('splice A 1-2 to B 1-2', { there, pins });
    expect(change.moved.map(({ to }) => to.tray)).toEqual([2, 2]);
  });

  test('is the same splice where the line names the other cable first', () => {
    const { change } = evaluate('splice B 1-2 to A 1-2', { there });
    expect(change.kept).toHaveLength(2);
    expect(change.added).toEqual([]);
  });
});

describe('what is made already', () => {
  const there = [present(1, 3, 7, true)];

  test('stays, whatever a pin or a new layout asks for', () => {
    const pins = [{ cable: 'A', unit: 1, tray: 2 }];
    const { change, obstacles } = evaluate('splice A 1-12 to B 1-12', { there, pins, anew: true });
    expect(obstacles).toEqual([]);
    expect(change.kept.map(({ tray, slot }) => [tray, slot])).toEqual([[3, 7]]);
    expect(change.added).toHaveLength(11);
    expect(new Set(change.added.map(({ tray }) => tray))).toEqual(new Set([2]));
  });

  test('stands in the way of a plan that drops it', () => {
    expect(evaluate('splice A 2-3 to B 2-3', { there }).obstacles).toMatchObject([
      {
        code: 'hasEvidence',
        fibers: { pairs: [{ cableA: 'A', fiberA: 1, cableB: 'B', fiberB: 1 }] },
      },
    ]);
  });

  test('stands in the way of a plan that splices its fiber to another', () => {
    const { obstacles } = evaluate('splice A 1 to B 2', { there });
    expect(obstacles).toHaveLength(1);
    expect(obstacles[0]).toMatchObject({ code: 'hasEvidence', fibers: { pairs: [{ fiberA: 1 }] } });
  });

  test('is removed where that is said, and its slot is free for what takes its place', () => {
    const full = trays.slice(2).map((tray) => ({ ...tray, single: 1 }));
    const one = [present(1, 3, 1, true)];
    const { change, obstacles } = evaluate('splice A 1 to B 2', {
      there: one,
      trays: full,
      retire: true,
    });
    expect(obstacles).toEqual([]);
    expect(change.retired).toEqual(one);
    expect([change.dropped, change.refused]).toEqual([[], []]);
    expect(change.added).toMatchObject([
      { fiberA: 1, legA: null, fiberB: 2, legB: null, tray: 3, slot: 1 },
    ]);
  });

  test('stays though cutting is allowed, where the plan still has it', () => {
    const { change } = evaluate('splice A 1-2 to B 1-2', { there, retire: true, anew: true });
    expect(change.kept).toEqual(there);
    expect(change.retired).toEqual([]);
  });
});

test('trays that are missing are counted', () => {
  const { obstacles } = evaluate('splice A all to B all', { trays: trays.slice(0, 1) });
  expect(obstacles).toEqual([{ code: 'noRoom', sleeve: 'single', sleeves: 12, trays: 1 }]);
});
