import { padsFor } from './pads.ts';

test('a lower pad is good for two ribbons, turned in between, an upper one for one (common practice, no source)', () =>
  expect([0, 1, 2, 3].map((pressed) => padsFor(pressed).code)).toEqual([
    'padsNew',
    'padTurn',
    'padUsedUp',
    'padUsedUp',
  ]));
