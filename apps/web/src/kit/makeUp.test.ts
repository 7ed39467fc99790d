import { type MakeUp } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { readMakeUp, typeMakeUp } from './typedMakeUp';

const MAKE_UPS: MakeUp[] = [
  { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
  { kind: 'ribbon', ribbons: 24 },
  { kind: 'ribbon', ribbons: 36, fibersPerRibbon: 8, rollable: true },
  { kind: 'drop', fibers: 4 },
];

describe('a make-up as it is typed', () => {
  it.each(MAKE_UPS.map((makeUp) => [makeUpText(makeUp), makeUp] as const))(
    '%s comes back the same',
    (_, makeUp) => {
      expect(readMakeUp(typeMakeUp(makeUp))).toEqual({ makeUp });
    },
  );

  it.each([
    [{ kind: 'loose-tube', first: '', second: '12' } as const, /Tubes|number/],
    [{ kind: 'loose-tube', first: '0', second: '12' } as const, /Tubes must be at least 1/],
    [{ kind: 'loose-tube', first: '12', second: '25' } as const, /Fibers a tube can be at most 24/],
    [{ kind: 'ribbon', first: '1.5', second: '' } as const, /Ribbons|number/],
    [{ kind: 'drop', first: '25', second: '' } as const, /Fibers can be at most 24/],
  ])('%j is refused in words', (typed, words) => {
    const read = readMakeUp(typed);
    expect('error' in read ? read.error : '').toMatch(words);
  });
});
