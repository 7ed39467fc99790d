import fc from 'fast-check';
import { type MakeUp, fiberCount, makeUpSchema } from '../record/cable.ts';
import { addressOf, numberOf, placeOf, unitSize } from './address.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';

const tia = BUILT_IN_SCHEMES[0]!;
const loose144: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const grouped144: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
const ribbon288: MakeUp = { kind: 'ribbon', ribbons: 24 };
const drop12: MakeUp = { kind: 'drop', fibers: 12 };

const anyMakeUp: fc.Arbitrary<MakeUp> = fc.oneof(
  fc.record({
    kind: fc.constant('loose-tube' as const),
    tubes: fc.integer({ min: 1, max: 72 }),
    fibersPerTube: fc.integer({ min: 1, max: 24 }),
  }),
  fc.record({
    kind: fc.constant('grouped-tube' as const),
    tubes: fc.integer({ min: 1, max: 36 }),
    groupsPerTube: fc.integer({ min: 1, max: 4 }),
  }),
  fc.record({ kind: fc.constant('ribbon' as const), ribbons: fc.integer({ min: 1, max: 144 }) }),
  fc.record({ kind: fc.constant('drop' as const), fibers: fc.integer({ min: 1, max: 24 }) }),
);

describe('the place of a fiber', () => {
  it('fiber 100 of a 144 loose tube, 12 a tube: tube 9 yellow, fiber 4 brown', () => {
    // Worked example by the order of TIA-598-D.
    const address = addressOf(loose144, tia, 100);
    expect(address.place).toEqual({ unit: { kind: 'tube', number: 9 }, group: null, position: 4 });
    expect(address.tube?.colour.name).toBe('yellow');
    expect(address.fiber.colour.name).toBe('brown');
  });

  it('fiber 100 of a 144 with 24 a tube: tube 5 slate, fiber 4 of group 1, brown', () => {
    // Worked example by the order of TIA-598-D.
    const address = addressOf(grouped144, tia, 100);
    expect(address.place).toEqual({ unit: { kind: 'tube', number: 5 }, group: 1, position: 4 });
    expect(address.tube?.colour.name).toBe('slate');
    expect(address.fiber.colour.name).toBe('brown');
  });

  it('groups of a tube look alike; fibers past 12 in a plain tube carry a tracer', () => {
    // Common practice, no source.
    expect(addressOf(grouped144, tia, 16).fiber).toMatchObject({ marks: 0, letters: 'BR' });
    expect(addressOf(grouped144, tia, 16).place.group).toBe(2);
    const plain: MakeUp = { kind: 'loose-tube', tubes: 6, fibersPerTube: 24 };
    expect(addressOf(plain, tia, 16).fiber).toMatchObject({
      marks: 1,
      mark: { kind: 'tracer', colour: 'black' },
      letters: 'BR-T',
    });
  });

  it('fiber n of a ribbon cable is ribbon ceil(n/12), position ((n-1) mod 12)+1', () => {
    // Common practice, no source.
    for (const number of [1, 12, 13, 100, 288]) {
      expect(placeOf(ribbon288, number)).toEqual({
        unit: { kind: 'ribbon', number: Math.ceil(number / 12) },
        group: null,
        position: ((number - 1) % 12) + 1,
      });
    }
  });

  it('a drop has positions only', () => {
    expect(placeOf(drop12, 12)).toEqual({ unit: null, group: null, position: 12 });
    expect(addressOf(drop12, tia, 12).tube).toBeNull();
  });

  it('goes both ways for every fiber of every make-up', () => {
    fc.assert(
      fc.property(anyMakeUp, fc.double({ min: 0, max: 1, noNaN: true }), (makeUp, share) => {
        const number = 1 + Math.floor(share * (fiberCount(makeUp) - 1));
        expect(numberOf(makeUp, placeOf(makeUp, number))).toBe(number);
      }),
    );
  });

  it('counts every place once', () => {
    fc.assert(
      fc.property(anyMakeUp, (makeUp) => {
        const places = new Set<string>();
        for (let n = 1; n <= fiberCount(makeUp); n++)
          places.add(JSON.stringify(placeOf(makeUp, n)));
        expect(places.size).toBe(fiberCount(makeUp));
        expect(fiberCount(makeUp) % unitSize(makeUp)).toBe(0);
      }),
      { numRuns: 30 },
    );
  });

  it.each([0, 145, 1.5, -1, Number.NaN])('there is no fiber %p of 144', (number) => {
    expect(() => placeOf(loose144, number)).toThrow('it has fibers 1 to 144');
  });

  it('there is no place beyond the cable, nor one of another kind', () => {
    const place = { unit: { kind: 'tube' as const, number: 13 }, group: null, position: 1 };
    expect(() => numberOf(loose144, place)).toThrow(RangeError);
    expect(() => numberOf(ribbon288, { ...place, unit: { kind: 'tube', number: 1 } })).toThrow(
      RangeError,
    );
    expect(() =>
      numberOf(loose144, { ...place, unit: { kind: 'tube', number: 1 }, position: 13 }),
    ).toThrow(RangeError);
  });
});

describe('a make-up', () => {
  it('is refused where there is no such cable', () => {
    expect(
      makeUpSchema.safeParse({ kind: 'loose-tube', tubes: 0, fibersPerTube: 12 }).success,
    ).toBe(false);
    expect(
      makeUpSchema.safeParse({ kind: 'loose-tube', tubes: 2.5, fibersPerTube: 12 }).success,
    ).toBe(false);
    expect(makeUpSchema.safeParse({ kind: 'ribbon', ribbons: 577 }).success).toBe(false);
    expect(
      makeUpSchema.safeParse({ kind: 'grouped-tube', tubes: 144, groupsPerTube: 4 }).success,
    ).toBe(true);
  });
});
