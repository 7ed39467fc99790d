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
    ['36 ribbons of 8', { kind: 'ribbon', ribbons: 36, fibersPerRibbon: 8 }],
    ['6 tubes of 12 ribbons', { kind: 'ribbon', ribbons: 72, ribbonsPerTube: 12 }],
    ['288 ribbon', { kind: 'ribbon', ribbons: 24 }],
    ['288 fiber ribbon', { kind: 'ribbon', ribbons: 24 }],
    ['Ribbon 144', { kind: 'ribbon', ribbons: 12 }],
    ['drop 12', { kind: 'drop', fibers: 12 }],
    ['4 drop', { kind: 'drop', fibers: 4 }],
    ['6x2 groups', { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }],
    ['6 tubes of 2 groups', { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }],
  ])('%s', (text, value) => expect(parseMakeUp(text)).toEqual({ ok: true, value }));

  it.each([
    ['', { code: 'typeMakeUp' }],
    ['100', { code: 'notByTwelves', text: '100' }],
    ['100 ribbon', { code: 'notByTwelves', text: '100 ribbon' }],
    ['0', { code: 'invalid', issue: { path: ['fibersPerTube'] } }],
    ['12x99', { code: 'invalid', issue: { path: ['fibersPerTube'] } }],
    ['thick', { code: 'noMakeUp', text: 'thick' }],
    ['12 by 12', { code: 'noMakeUp', text: '12 by 12' }],
  ])('%p is refused with what would be right', (text, error) =>
    expect(parseMakeUp(text)).toMatchObject({ ok: false, error }),
  );
});
