import {
  type AssemblyChange,
  BUILT_IN_LIMITS,
  type Cable,
  USUAL_GLASS,
  USUAL_RUN,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  unitsOfDistance,
} from '@cordel/core';
import { newSetting, withWrite } from './setting';

const setting = {
  ...newSetting({
    id: 'p1',
    name: 'Mill line',
    practiceOnly: false,
    units: unitsOfDistance('km'),
    schemeId: 'tia-598',
    limits: BUILT_IN_LIMITS[0]!,
    trayCapacity: { single: 12, mass: 6 },
    practice: USUAL_PRACTICE,
    budget: USUAL_BUDGET,
    route: [],
    createdAt: '2026-05-04T20:15:00.000Z',
  }),
  closures: [
    {
      id: 'k1',
      projectId: 'p1',
      name: 'Mill',
      ordinal: 0,
      distance: null,
      branchOf: null,
      position: null,
      trays: [],
    },
  ],
};
const cable = (id: string, projectId = 'p1', name = id): Cable => ({
  id,
  projectId,
  name,
  makeUp: { kind: 'drop', fibers: 4 },
  schemeId: 'tia-598',
  glass: USUAL_GLASS,
  run: USUAL_RUN,
});
const put = (path: string, body: unknown) => ({ method: 'PUT', path, body });

test('a record that is written is added, and written again takes its place', () => {
  const one = withWrite(setting, put('/api/cables/c1', cable('c1')));
  const two = withWrite(one, put('/api/cables/c2', cable('c2')));
  const changed = withWrite(two, put('/api/cables/c1', cable('c1', 'p1', 'North')));
  expect(changed.cables.map(({ name }) => name)).toEqual(['North', 'c2']);
  expect(setting.cables).toEqual([]);
});

test('records of other projects and other writes change nothing', () => {
  expect(withWrite(setting, put('/api/cables/c1', cable('c1', 'p2')))).toBe(setting);
  expect(withWrite(setting, put('/api/closures/k1/plan', { closureId: 'k1' }))).toBe(setting);
  expect(withWrite(setting, { ...put('/api/cables/c1', cable('c1')), method: 'POST' })).toBe(
    setting,
  );
});

test('changes of what meets in a closure follow each other, and the same one again is once', () => {
  const post = (closureId: string, body: AssemblyChange) => ({
    method: 'POST',
    path: `/api/assemblies/${closureId}/changes`,
    body,
  });
  const one = withWrite(setting, post('k1', { kind: 'hardware', hardwareId: 'dome' }));
  const two = withWrite(one, post('k1', { kind: 'reach', reach: 20 }));
  expect(two.assemblies).toEqual([{ closureId: 'k1', hardwareId: 'dome', reach: 20, entries: [] }]);
  expect(withWrite(two, post('k1', { kind: 'reach', reach: 20 }))).toEqual(two);
  expect(withWrite(setting, post('k9', { kind: 'reach', reach: 20 }))).toBe(setting);
});

test('the project itself', () => {
  const project = { ...setting.project, name: 'Ford line' };
  expect(withWrite(setting, put('/api/projects/p1', project)).project.name).toBe('Ford line');
});
