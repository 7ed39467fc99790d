import type { Cable } from '../record/cable.ts';
import { USUAL_RUN } from '../record/cableRun.ts';
import { USUAL_GLASS } from '../record/fiberType.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';
import { asksFiber, matchingFibers, readQuery } from './search.ts';

const tia = BUILT_IN_SCHEMES[0]!;
const cable = (name: string, makeUp: Cable['makeUp']): Cable => ({
  id: '019da9e7-4800-7000-8000-000000000001',
  projectId: '019da9e7-4800-7000-8000-000000000000',
  name,
  makeUp,
  schemeId: tia.id,
  glass: USUAL_GLASS,
  run: USUAL_RUN,
});
const a = cable('A', { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 });
const r = cable('R', { kind: 'ribbon', ribbons: 24 });
const read = (line: string) => readQuery(line, ['A', 'R', 'North 144'], BUILT_IN_SCHEMES);

describe('a search line', () => {
  it('A 100 is one fiber of one cable', () => {
    expect(matchingFibers(read('A 100'), a, tia)).toEqual([100]);
    expect(matchingFibers(read('a 100'), a, tia)).toEqual([100]);
    expect(matchingFibers(read('A 100'), r, tia)).toEqual([]);
  });

  it('tube 9 is its twelve fibers, and so is ribbon 9', () => {
    const twelve = Array.from({ length: 12 }, (_, index) => 97 + index);
    expect(matchingFibers(read('tube 9'), a, tia)).toEqual(twelve);
    expect(matchingFibers(read('t9'), a, tia)).toEqual(twelve);
    expect(matchingFibers(read('ribbon 9'), r, tia)).toEqual(twelve);
  });

  it('a colour is a fiber’s or its tube’s', () => {
    const brown = matchingFibers(read('brown'), a, tia);
    expect(brown).toContain(4);
    expect(brown).toContain(37);
    expect(brown).toHaveLength(12 + 11);
  });

  it('a colour in a named tube is the fiber’s', () => {
    expect(matchingFibers(read('tube 9 brown'), a, tia)).toEqual([100]);
    expect(matchingFibers(read('A tube 4 brown'), a, tia)).toEqual([40]);
  });

  it('a tray and words are not asked of fibers', () => {
    const query = read('tray 4 weir');
    expect(query).toMatchObject({ tray: 4, text: ['weir'] });
    expect(asksFiber(query)).toBe(false);
    expect(asksFiber(read('brown'))).toBe(true);
  });

  it('finds a colour by the name of another national order', () => {
    expect(matchingFibers(read('grey'), a, tia)).toEqual(matchingFibers(read('slate'), a, tia));
  });
});
