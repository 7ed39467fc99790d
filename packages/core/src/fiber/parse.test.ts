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

  it('takes a color alone where there is one tube or none', () => {
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
    ['mauve', loose, { code: 'noColour', text: 'mauve', scheme: 'TIA-598 order' }],
    ['145', loose, { code: 'fiberOutside', number: 145, most: 144 }],
    ['0', loose, { code: 'fiberOutside', number: 0, most: 144 }],
    ['tube 13 brown', loose, { code: 'unitOutside', unit: 'tube', number: 13, most: 12 }],
    ['ribbon 25 blue', ribbon, { code: 'unitOutside', unit: 'ribbon', number: 25, most: 24 }],
    ['brown', loose, { code: 'unitMissing', unit: 'tube' }],
    ['brown', ribbon, { code: 'unitMissing', unit: 'ribbon' }],
    ['tube 5 brown', grouped, { code: 'groupMissing' }],
    ['tube 9', loose, { code: 'fiberMissing' }],
    ['9/13', loose, { code: 'positionOutside', unit: 'tube', number: 9, position: 13, most: 12 }],
    ['5/3/1', grouped, { code: 'positionOutside', number: 5, group: 3, position: 1 }],
    ['9/4/1', loose, { code: 'noPlace', text: '1' }],
    ['tube', loose, { code: 'colourMissing' }],
    ['', loose, { code: 'nameFiber', cable: 'loose-tube' }],
  ])('%p is refused with what would be right', (text, makeUp, error) =>
    expect(parseFiber(text, makeUp, tia)).toMatchObject({ ok: false, error }),
  );

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
        expect(read.ok ? read.value >= 1 && read.value <= 144 : read.error.code.length > 0).toBe(
          true,
        );
      }),
    );
  });
});
