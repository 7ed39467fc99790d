import { BUILT_IN_HARDWARE, BUILT_IN_SCHEMES, METRIC, enteringCable } from '@cordel/core';
import type { PackageClosure } from '../messages.ts';
import { answersText, prepRows } from './prepRows.ts';

const hardware = BUILT_IN_HARDWARE.find(({ form }) => form === 'dome')!;
const scheme = BUILT_IN_SCHEMES[0]!;
const tick = (step: string, answers: Record<string, string>, override: string | null = null) => ({
  step,
  by: 'M. Vale',
  at: '2026-05-04T20:15:00.000Z',
  answers,
  photos: [],
  override,
});
const cable = {
  id: 'c',
  name: 'F',
  schemeId: scheme.id,
  makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
};
const rowsOf = (done: ReturnType<typeof tick>[]) =>
  prepRows(
    {
      closure: { name: 'North box' },
      hardware,
      assembly: {
        closureId: 'k',
        hardwareId: hardware.id,
        reach: 0,
        entries: [{ ...enteringCable('e', 'c', 'express'), done }],
      },
    } as unknown as PackageClosure,
    {
      cables: [cable] as never,
      schemes: [scheme],
      units: { ...METRIC, timeZone: 'UTC' },
    },
  );

test('a dark proof says the tube, the detector, the number read twice and the release, by whom and when', () => {
  const rows = rowsOf([
    tick('dark 3', { detector: 'D-12', numberTwice: 'yes', releasedBy: 'Night desk' }),
    tick('mark', {}),
  ]);
  expect(rows).toEqual([
    {
      closure: 'North box',
      cable: 'F',
      step: expect.stringMatching(/tube 3/i),
      by: 'M. Vale',
      at: '2026-05-04T20:15:00.000Z',
      written: expect.stringMatching(/D-12.*yes.*Night desk/),
      override: null,
    },
  ]);
});

test('a cut that came before its proof stands there with the reason', () => {
  expect(rowsOf([tick('tube 4', {}, 'No light source within reach')])).toMatchObject([
    { step: 'Cut tube 4', written: '', override: 'No light source within reach' },
  ]);
});

test('a torque is written with what was asked', () => {
  expect(answersText({ answers: { torqueUsed: '5.5' } }, hardware)).toMatch(/5\.5/);
});
