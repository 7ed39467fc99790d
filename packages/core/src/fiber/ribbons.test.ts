import fc from 'fast-check';
import { type MakeUp, RIBBON_SIZES, makeUpSchema } from '../record/cable.ts';
import { expandPlan } from '../plan/expand.ts';
import { collapseJoints } from '../plan/collapse.ts';
import { Network } from '../plan/network.ts';
import { findNetworkProblems } from '../plan/networkProblems.ts';
import { parsePlan } from '../plan/parsePlan.ts';
import { printLine } from '../plan/printLine.ts';
import type { ListCable } from '../plan/spliceList.ts';
import { addressOf, numberOf, placeOf } from './address.ts';
import { fibersASleeve, ribbonSize, tubeOfRibbon } from './ribbons.ts';
import { BUILT_IN_SCHEMES } from './schemes.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const ribbons = (count: number, fibersPerRibbon: number): MakeUp => ({
  kind: 'ribbon',
  ribbons: count,
  fibersPerRibbon,
});
const cable = (name: string, makeUp: MakeUp): ListCable => ({ name, makeUp, scheme });

describe('ribbons of other sizes', () => {
  test.each(RIBBON_SIZES)('%i to a ribbon: numbers and places count back and forth', (size) => {
    const makeUp = ribbons(6, size);
    expect(makeUpSchema.parse(makeUp)).toEqual(makeUp);
    expect(ribbonSize(makeUp)).toBe(size);
    for (let number = 1; number <= 6 * size; number++) {
      const place = placeOf(makeUp, number);
      // Fiber n is ribbon ceil(n/k), position ((n-1) mod k)+1: common practice, no source.
      expect(place).toMatchObject({
        unit: { kind: 'ribbon', number: Math.ceil(number / size) },
        position: ((number - 1) % size) + 1,
      });
      expect(numberOf(makeUp, place)).toBe(number);
    }
  });

  test('other sizes are no ribbons', () =>
    expect(makeUpSchema.safeParse(ribbons(6, 10)).error!.issues[0]!.message).toBe(
      'ribbonSizeWrong',
    ));

  // Positions 13 to 24 repeat the colors with a black tracer: TIA-598-D (from memory).
  test('the fourteenth of 24 is orange with a tracer', () =>
    expect(addressOf(ribbons(2, 24), scheme, 24 + 14).fiber).toMatchObject({
      colour: { name: 'orange' },
      marks: 1,
    }));

  test('864 fibers as 6 tubes of 12 ribbons: fiber 200 is in tube 2, orange, its ribbon 5', () => {
    const makeUp: MakeUp = { kind: 'ribbon', ribbons: 72, ribbonsPerTube: 12 };
    const address = addressOf(makeUp, scheme, 200);
    // 200 = 16 x 12 + 8: the seventeenth ribbon, and 17 = 12 + 5.
    expect(address.place).toMatchObject({ unit: { kind: 'ribbon', number: 17 }, position: 8 });
    expect(address.inTube).toEqual({ tube: 2, ribbon: 5 });
    expect(address.tube).toMatchObject({ colour: { name: 'orange' } });
    expect(tubeOfRibbon(ribbons(6, 12), 3)).toBe(null);
    const broken = { ...makeUp, ribbonsPerTube: 10 };
    expect(makeUpSchema.safeParse(broken).error!.issues[0]!.message).toBe('ribbonsLeftOver');
  });
});

describe('what is fused at once', () => {
  const loose: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
  test.each([
    [ribbons(6, 8), ribbons(6, 8), 8],
    // A ribbon of 24 is split in two, for ribbons of 12.
    [ribbons(6, 24), ribbons(12, 12), 12],
    [ribbons(6, 8), ribbons(4, 12), 4],
    [ribbons(6, 16), loose, 16],
    [loose, loose, 12],
  ])('%j onto %j: %i', (a, b, fibers) => {
    expect(fibersASleeve(a, b)).toBe(fibers);
    expect(fibersASleeve(b, a)).toBe(fibers);
  });

  const cables = [
    cable('R', ribbons(12, 8)),
    cable('T', ribbons(12, 8)),
    cable('W', ribbons(4, 24)),
  ];

  test('a line of ribbons of 8 is said and read as the same splices, turned round or not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.nat(4),
        fc.boolean(),
        (first, more, reversed) => {
          const last = Math.min(12, first + more);
          const text = `splice R ribbon${last > first ? 's' : ''} ${last > first ? `${first}-${last}` : first} to T ribbon${last > first ? 's' : ''} ${last > first ? `${first}-${last}` : first}${reversed ? ' reversed' : ''}`;
          const plan = parsePlan(text, cables);
          expect(plan.errors).toEqual([]);
          const { joints } = expandPlan(plan, cables);
          expect(joints).toHaveLength((last - first + 1) * 8);
          const [one] = joints;
          expect(one!.fiberB - (first - 1) * 8).toBe(reversed ? 8 : 1);
          const lines = collapseJoints(joints, cables);
          expect(lines.map((line) => printLine(line, cables))).toEqual([text]);
        },
      ),
    );
  });

  test('half a ribbon is not fused by ribbon; a ribbon is split to singles on purpose', () => {
    expect(parsePlan('splice R 1-4 to T 1-4 mass', cables).errors[0]!.message).toMatchObject({
      code: 'notWhole',
      size: 8,
    });
    expect(parsePlan('splice R 1-4 to T 1-4', cables).errors).toEqual([]);
    expect(parsePlan('splice R ribbon 1 to T ribbon 1 single', cables).lines[0]!.method).toBe(
      'single',
    );
    expect(parsePlan('splice W ribbon 1 to R 1-24 mass', cables).errors).toEqual([]);
  });

  test('a ribbon of 8 that is laid the other way round is seen as flipped', () => {
    const list = cables.map(({ name, makeUp }) => ({ id: name, name, makeUp }));
    const splices = Array.from({ length: 8 }, (_, index) => ({
      closure: 'k',
      cableA: 'R',
      fiberA: 1 + index,
      cableB: 'T',
      fiberB: 8 - index,
      method: 'mass' as const,
    }));
    const [problem] = findNetworkProblems(new Network(list, splices), () => true);
    expect(problem).toMatchObject({ kind: 'flip', message: { code: 'ribbonFlipped' } });
  });
});
