import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { parsePlan } from './parsePlan.ts';
import { renameInPlan } from './renameInPlan.ts';
import type { ListCable } from './spliceList.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const makeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 } as const;
const cables: ListCable[] = ['A', 'B', 'North feeder'].map((name) => ({ name, makeUp, scheme }));

it('calls a cable by its new name wherever a line has it, and nowhere else', () => {
  const text = [
    '# A is the old trunk',
    'splice A tubes 1-6 to B tubes 1-6',
    'splice B 80 to a 80  # not A 81',
    'reserve A tube 9 "A to clinic"',
    'dead North feeder 3',
    'splice A 1',
  ].join('\n');
  expect(renameInPlan(text, cables, 'A', 'West trunk')).toBe(
    [
      '# A is the old trunk',
      'splice "West trunk" tubes 1-6 to B tubes 1-6',
      'splice B 80 to "West trunk" 80  # not A 81',
      'reserve "West trunk" tube 9 "A to clinic"',
      'dead North feeder 3',
      'splice A 1',
    ].join('\n'),
  );
});

it('keeps the leg behind the name', () =>
  expect(renameInPlan('splice A.in 1 to B 1', cables, 'A', 'West trunk')).toBe(
    'splice "West trunk.in" 1 to B 1',
  ));

it.each([
  'dead North feeder 3',
  'dead "North feeder" 3',
  'dead north feeder 3',
  'dead \u201cNorth feeder\u201d 3',
])('takes the place of a name as it is written: %s', (text) => {
  const renamed = renameInPlan(text, cables, 'North feeder', 'N');
  expect(renamed).toBe('dead N 3');
  expect(parsePlan(renamed, [{ name: 'N', makeUp, scheme }]).errors).toEqual([]);
});
