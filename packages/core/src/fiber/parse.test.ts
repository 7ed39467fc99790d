import fc from 'fast-check';
import { type MakeUp, fiberCount } from '../record/cable.ts';
import { addressOf } from './address.ts';
import { parseFiber } from './parse.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';

const [tia, vde] = [BUILT_IN_SCHEMES[0]!, BUILT_IN_SCHEMES[1]!];
const loose: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const plain24: MakeUp = { kind: 'loose-tube', tubes: 6, fibersPerTube: 24 };
const grouped: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
const ribbon: MakeUp = { kind: 'ribbon', ribbons: 24 };
const drop: MakeUp = { kind: 'drop', fibers: 12 };

describe('a fiber as people type it', () => {
  it.each([
    ['100', loose],
    ['fiber 100', loose],
    ['F100', loose],
    ['#100', loose],
    ['9/4', loose],
    ['9.4', loose],
    ['9,4', loose],
    ['T9 F4', loose],
    ['t9f4', loose],
    ['tube 9 fiber 4', loose],
    ['tube 9 brown', loose],
    ['Yellow / Brown', loose],
    ['YL BR', loose],
    ['5/1/4', grouped],
    ['tube 5 group 1 brown', grouped],
    ['slate 1 brown', grouped],
    ['ribbon 9 brown', ribbon],
    ['R9/4', ribbon],
  ])('%s is fiber 100', (text, makeUp) => {
    expect(parseFiber(text, makeUp, tia)).toEqual({ ok: true, value: 100 });
  });

  it('takes a colour alone where there is one tube or none', () => {
    expect(parseFiber('brown', drop, tia)).toEqual({ ok: true, value: 4 });
    expect(parseFiber('brown', { kind: 'loose-tube', tubes: 1, fibersPerTube: 12 }, tia)).toEqual({
      ok: true,
      value: 4,
    });
  });

  it('takes a tracer as the second twelve', () => {
    expect(parseFiber('tube 1 brown tracer', plain24, tia)).toEqual({ ok: true, value: 16 });
    expect(parseFiber('tube 2 brown tracer', plain24, tia)).toEqual({ ok: true, value: 40 });
  });

  it('follows the scheme', () => {
    expect(parseFiber('tube 1 red', loose, vde)).toEqual({ ok: true, value: 1 });
    expect(parseFiber('tube 1 red', loose, tia)).toEqual({ ok: true, value: 7 });
  });

  it.each([
    ['mauve', loose, '“mauve” is no colour of the TIA-598 order: blue, orange'],
    ['145', loose, 'Fiber 145 is outside the cable: it has fibers 1 to 144.'],
    ['0', loose, 'it has fibers 1 to 144'],
    ['tube 13 brown', loose, 'Tube 13 is outside the cable: it has tubes 1 to 12.'],
    ['ribbon 25 blue', ribbon, 'Ribbon 25 is outside the cable: it has ribbons 1 to 24.'],
    ['brown', loose, 'Say the tube too'],
    ['brown', ribbon, 'Say the ribbon too'],
    ['tube 5 brown', grouped, 'Say the group too'],
    ['tube 9', loose, 'The fiber is missing'],
    ['9/13', loose, 'Tube 9 has no fiber at position 13: it holds 12.'],
    ['5/3/1', grouped, 'Tube 5 has no fiber at group 3, position 1'],
    ['9/4/1', loose, 'has no place in this cable'],
    ['tube', loose, 'missing at the end'],
    ['', loose, 'Name a fiber'],
  ])('%p is refused with what would be right', (text, makeUp, words) => {
    const read = parseFiber(text, makeUp, tia);
    expect(read.ok ? '' : read.error).toContain(words);
  });

  it('reads back every address it prints', () => {
    const makeUps = [loose, plain24, grouped, ribbon, drop];
    fc.assert(
      fc.property(
        fc.constantFrom(...makeUps),
        fc.constantFrom(tia, vde),
        fc.nat(),
        (makeUp, scheme, pick) => {
          const number = (pick % fiberCount(makeUp)) + 1;
          const { place, fiber } = addressOf(makeUp, scheme, number);
          const unit = place.unit ? `${place.unit.kind} ${place.unit.number} ` : '';
          const group = place.group ? `group ${place.group} ` : '';
          const colour =
            fiber.marks > 0 ? `${fiber.colour.name} ${scheme.mark}` : fiber.colour.name;
          expect(parseFiber(`${unit}${group}${colour}`, makeUp, scheme)).toEqual({
            ok: true,
            value: number,
          });
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = parseFiber(text, loose, tia);
        expect(read.ok ? read.value >= 1 && read.value <= 144 : read.error.length > 0).toBe(true);
      }),
    );
  });
});
