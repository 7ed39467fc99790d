import { FIBER_TYPES, glassSchema } from '../record/fiberType.ts';
import { fiberKindOf, modeFieldOf } from './types.ts';

const glass = (type: (typeof FIBER_TYPES)[number], mfd: number | null = null) => ({
  type,
  mfd,
  coating: 250 as const,
});

// ITU-T G.652: nominal 8.6 to 9.2 um at 1310 nm; ITU-T G.657: 8.2 to 9.2 um (both from memory).
it.each([
  ['G.652.D', 8.6, 9.2],
  ['G.657.A1', 8.2, 9.2],
  ['G.657.A2', 8.2, 9.2],
] as const)('%s has a mode field in its nominal range', (type, least, most) => {
  expect(modeFieldOf(glass(type))).toBeGreaterThanOrEqual(least);
  expect(modeFieldOf(glass(type))).toBeLessThanOrEqual(most);
});

it('the reel’s own figure counts before the type’s', () =>
  expect(modeFieldOf(glass('G.652.D', 955))).toBe(9.55));

it('multimode fiber and G.655 have none at 1310 nm', () => {
  expect(modeFieldOf(glass('OM3 50/125'))).toBeNull();
  expect(modeFieldOf(glass('G.655'))).toBeNull();
  expect(fiberKindOf(glass('OM1 62.5/125'))).toBe('multimode');
  expect(fiberKindOf(glass('G.655'))).toBe('single-mode');
});

it.each([
  ['9.2 in place of 920', { mfd: 9.2 }, /modeFieldNotWhole/],
  ['a field of 30 um', { mfd: 3000 }, /modeFieldTooLarge/],
  ['a coating of 300 um', { coating: 300 }, /./],
])('refuses %s', (_, part, message) =>
  expect(glassSchema.safeParse({ ...glass('G.652.D'), ...part }).error?.issues[0]?.message).toMatch(
    message,
  ),
);
