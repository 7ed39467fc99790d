import { BUILT_IN_LIMITS } from '@cordel/core';
import { spliceNight } from './night.ts';

const setting = { joints: 60, fibers: 1, limits: BUILT_IN_LIMITS[0]!, unlike: 0.05, seed: 3 };

it('is the same night for two rules: without a redo each joint has one arc', () => {
  const never = spliceNight(setting, () => false);
  expect(never).toMatchObject({ arcs: 60, redos: 0, fibers: 60 });
  expect(spliceNight(setting, () => false)).toEqual(never);
});

it('makes no joint more often than the limits allow', () => {
  const always = spliceNight(setting, () => true);
  expect(always).toMatchObject({ arcs: 180, redos: 120 });
});

it('shows a rule the estimates, and never the truth', () => {
  spliceNight(setting, (task) => {
    expect(Object.keys(task.fibers[0]!).sort()).toEqual(['before', 'cleave', 'estimate', 'floor']);
    return false;
  });
});
