import { parseMakeUp } from './parseMakeUp.ts';

const loose = (tubes: number, fibersPerTube: number) => ({
  kind: 'loose-tube',
  tubes,
  fibersPerTube,
});

describe('how a cable is made up, as people write it', () => {
  // Tubes and ribbons of twelve: common practice, no source.
  it.each([
    ['144', loose(12, 12)],
    ['144f', loose(12, 12)],
    ['96 fibers', loose(8, 12)],
    ['6', loose(1, 6)],
    ['12x24', loose(12, 24)],
    ['12 × 12', loose(12, 12)],
    ['6 tubes of 8', loose(6, 8)],
    ['6 tubes x 8 fibers', loose(6, 8)],
    ['24 ribbons', { kind: 'ribbon', ribbons: 24 }],
    ['288 ribbon', { kind: 'ribbon', ribbons: 24 }],
    ['288 fiber ribbon', { kind: 'ribbon', ribbons: 24 }],
    ['Ribbon 144', { kind: 'ribbon', ribbons: 12 }],
    ['drop 12', { kind: 'drop', fibers: 12 }],
    ['4 drop', { kind: 'drop', fibers: 4 }],
    ['6x2 groups', { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }],
    ['6 tubes of 2 groups', { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }],
  ])('%s', (text, value) => expect(parseMakeUp(text)).toEqual({ ok: true, value }));

  it.each([
    ['', 'Type the cable’s fibers'],
    ['100', '“100” does not go by twelves'],
    ['100 ribbon', 'does not go by twelves'],
    ['0', 'Fibers a tube must be at least 1.'],
    ['12x99', 'Fibers a tube can be at most 24.'],
    ['thick', '“thick” is no make-up'],
    ['12 by 12', 'is no make-up'],
  ])('%p is refused with what would be right', (text, words) =>
    expect(parseMakeUp(text)).toMatchObject({ ok: false, error: expect.stringContaining(words) }),
  );
});
