import fc from 'fast-check';
import { type MakeUp, fiberCount } from '../record/cable.ts';
import { parseFiber } from './parse.ts';
import { parseFibers, spellFibers } from './parseFibers.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';

const tia = BUILT_IN_SCHEMES[0]!;
const loose: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const grouped: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
const ribbon: MakeUp = { kind: 'ribbon', ribbons: 24 };
const drop: MakeUp = { kind: 'drop', fibers: 12 };

const fibers = (text: string, makeUp: MakeUp) => {
  const read = parseFibers(text, makeUp, tia);
  return read.ok ? spellFibers(read.value) : read.error;
};

describe('fibers as people write them', () => {
  it.each<[string, MakeUp, string]>([
    // A slash is a place, a dash is a range, always.
    ['7/12', loose, '84'],
    ['7-12', loose, '7-12'],
    ['7\u201312', loose, '7-12'],
    ['7 \u2014 12', loose, '7-12'],
    ['T7 F12', loose, '84'],
    ['T7 F1-12', loose, '73-84'],
    ['7/1-12', loose, '73-84'],
    ['tube 7 brown', loose, '76'],
    ['tube 7', loose, '73-84'],
    ['T7', loose, '73-84'],
    ['tubes 1-2', loose, '1-24'],
    ['tube blue', loose, '1-12'],
    ['BL/OR', loose, '2'],
    ['blue slate', loose, '5'],
    ['blue grey', loose, '5'],
    ['fibers 7-12', loose, '7-12'],
    ['1-6, 8', loose, '1-6, 8'],
    ['1;3;5', loose, '1, 3, 5'],
    ['ribbon 3', ribbon, '25-36'],
    ['R3', ribbon, '25-36'],
    ['ribbons 1-3', ribbon, '1-36'],
    ['ribbon 3 aqua', ribbon, '36'],
    ['tube 5 group 1 brown', grouped, '100'],
    ['5/1/1-12', grouped, '97-108'],
    ['pink', drop, '11'],
    ['1-4', drop, '1-4'],
  ])('%s of %j is %s', (text, makeUp, expected) => expect(fibers(text, makeUp)).toBe(expected));

  it.each<[string, MakeUp, RegExp]>([
    ['12-7', loose, /smaller number first: 7-12/],
    ['140-145', loose, /Fiber 145 is outside the cable/],
    ['tube 13', loose, /Tube 13 is outside the cable: it has tubes 1 to 12/],
    ['1-6, 5', loose, /Fiber 5 is named twice/],
    ['mauve', loose, /no colour/],
    ['', loose, /Name a fiber/],
    ['7-', loose, /./],
  ])('%s is refused with what would be right', (text, makeUp, words) => {
    const read = parseFibers(text, makeUp, tia);
    expect(read.ok ? '' : read.error).toMatch(words);
  });

  it('one fiber is never read from a range', () => {
    const read = parseFiber('7-12', loose, tia);
    expect(read.ok ? '' : read.error).toMatch(/7-12 is a range .* tube 7, fiber 12: 7\/12/);
  });

  it('reads back whatever it spells', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(loose, grouped, ribbon, drop),
        fc.uniqueArray(fc.nat(), { minLength: 1, maxLength: 20 }),
        (makeUp, picks) => {
          const numbers = [...new Set(picks.map((pick) => (pick % fiberCount(makeUp)) + 1))].sort(
            (a, b) => a - b,
          );
          expect(parseFibers(spellFibers(numbers), makeUp, tia)).toEqual({
            ok: true,
            value: numbers,
          });
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = parseFibers(text, loose, tia);
        expect(read.ok ? read.value.length > 0 : read.error.length > 0).toBe(true);
      }),
    );
  });
});
