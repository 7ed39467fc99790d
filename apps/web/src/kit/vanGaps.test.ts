import { BUILT_IN_LIMITS, type Splice, newRuling } from '@cordel/core';
import { vanGaps } from './vanGaps';

const splice = (id: string) =>
  ({ id, closureId: 'mill', tray: 1, slot: 1, method: 'single', end: null }) as unknown as Splice;
const skip = (id: string) =>
  newRuling(
    { id: `word ${id}`, by: 'M.', at: '2026-05-04T20:15:00.000Z' },
    id,
    null,
    'skip',
    'Later.',
  );

test('a van names closures without hardware, and counts what was skipped', () => {
  expect(
    vanGaps(
      [
        { id: 'mill', name: 'Mill' },
        { id: 'ford', name: 'Ford' },
        { id: 'weir', name: 'Weir' },
      ],
      [
        { closureId: 'mill', hardwareId: 'dome' },
        { closureId: 'ford', hardwareId: null },
      ],
      [{ splices: [splice('a'), splice('b'), splice('c')], evidence: [skip('a'), skip('c')] }],
      BUILT_IN_LIMITS[0]!,
    ),
  ).toEqual({ withoutHardware: ['Ford', 'Weir'], skipped: 2 });
});
