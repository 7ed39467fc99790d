import fc from 'fast-check';
import { type MakeUp, fiberCount } from '../record/cable.ts';
import { type FiberProblem, parseFiber } from './parse.ts';
import { parseFibers, spellFibers } from './parseFibers.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';

const tia = BUILT_IN_SCHEMES[0]!;
const loose: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const grouped: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
const ribbon: MakeUp = { kind: 'ribbon', ribbons: 24 };
const drop: MakeUp = { kind: 'drop', fibers: 12 };

const fibers = (text: string, makeUp: MakeUp) => {
  const read = parseFibers(text, makeUp, tia);
  return read.ok ? spellFibers(read.value) : read.error.code;
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

  it.each<[string, MakeUp, Partial<FiberProblem>]>([
    ['12-7', loose, { code: 'rangeBackwards', from: '7', to: '12' }],
    ['140-145', loose, { code: 'fiberOutside', number: 145 }],
    ['tube 13', loose, { code: 'unitOutside', unit: 'tube', number: 13, most: 12 }],
    ['1-6, 5', loose, { code: 'fiberTwice', number: 5 }],
    ['mauve', loose, { code: 'noColour', text: 'mauve' }],
    ['', loose, { code: 'nameFiber' }],
    ['7-', loose, { code: 'numberMissing' }],
  ])('%s is refused with what would be right', (text, makeUp, error) =>
    expect(parseFibers(text, makeUp, tia)).toMatchObject({ ok: false, error }),
  );

  it('one fiber is never read from a range', () =>
    expect(parseFiber('7-12', loose, tia)).toEqual({
      ok: false,
      error: { code: 'rangeOfFibers', from: '7', to: '12' },
    }));

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
        expect(read.ok ? read.value.length > 0 : read.error.code.length > 0).toBe(true);
      }),
    );
  });
});
