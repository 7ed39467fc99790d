import fc from 'fast-check';
import { boundBundle, leastTrays } from './bounds.ts';
import { pack } from './pack.ts';
import { pieceWeight, piecesOf } from './pieces.ts';
import { type Strand, splitsOf } from './strands.ts';

const strand = (a: string, b: string, weight: number): Strand => ({
  units: [`A\n${a}`, `B\n${b}`],
  method: 'single',
  sleeves: Array.from({ length: weight }, (_, index) => [
    {
      cableA: 'A',
      fiberA: index + 1,
      legA: null,
      cableB: 'B',
      fiberB: index + 1,
      legB: null,
      end: null,
      method: 'single',
      line: 0,
    },
  ]),
});

/** A shift: each tube of A on two of B. */
const chain = (...weights: number[]): Strand[] =>
  weights.map((weight, index) =>
    strand(String(Math.floor((index + 1) / 2)), String(Math.floor(index / 2)), weight),
  );

// Worked by hand.
describe('the fewest splits of a bundle', () => {
  test('none where it fits a tray', () => {
    expect(boundBundle([strand('1', '1', 12)], 12).splits).toBe(0);
  });

  test('a tube of 24 onto one of 24, on trays of 12: each of them once', () => {
    expect(boundBundle([strand('1', '1', 24)], 12).splits).toBe(2);
  });

  test('a tube of 24 onto two of 12: the large one once', () => {
    const bundle = [strand('1', '1', 12), strand('1', '2', 12)];
    expect(boundBundle(bundle, 12)).toMatchObject({ splits: 1, whole: [12, 12] });
  });

  test('half tubes in a chain of four, two to a tray: one cut', () => {
    expect(boundBundle(chain(6, 6, 6, 6), 12).splits).toBe(1);
  });

  test('parts of 7 and 5 on trays of 16: 12 to a tray, so two cuts for six parts', () => {
    expect(boundBundle(chain(7, 5, 7, 5, 7, 5), 16).splits).toBe(2);
  });

  test('three tubes of 8 in one of 24, on trays of 12: two, whether one of them is divided or not', () => {
    const bundle = ['1', '2', '3'].map((b) => strand('1', b, 8));
    expect(boundBundle(bundle, 12).splits).toBe(2);
  });
});

describe('the fewest trays', () => {
  const whole = (...weights: number[]) =>
    weights.map((weight) => ({
      splits: 0,
      whole: [weight],
      loose: 0,
      parts: 1,
      leastPart: weight,
    }));

  test('by their weight', () => {
    expect(leastTrays(whole(6, 6, 6, 6), 12)).toBe(2);
  });

  test('large ones never share: three tubes of 12 on trays of 16 take three', () => {
    expect(leastTrays(whole(12, 12, 12), 16)).toBe(3);
  });

  test('two of 6 to a tray of 16, never three: five take three trays', () => {
    expect(leastTrays(whole(6, 6, 6, 6, 6), 16)).toBe(3);
  });
});

const weights = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 14 });

test('a bound is never above what a layout finds', () => {
  fc.assert(
    fc.property(weights, fc.integer({ min: 12, max: 30 }), (list, capacity) => {
      const bundle = chain(...list);
      const pieces = piecesOf(bundle, capacity);
      expect(pieces.every((piece) => pieceWeight(piece) <= capacity)).toBe(true);
      expect(pieces.flat().reduce((sum, part) => sum + part.sleeves.length, 0)).toBe(
        list.reduce((sum, weight) => sum + weight, 0),
      );
      expect(boundBundle(bundle, capacity).splits).toBeLessThanOrEqual(splitsOf(pieces));
    }),
  );
});

test('packing puts every item into a bin once, and no bin is over its capacity', () => {
  fc.assert(
    fc.property(weights, fc.integer({ min: 12, max: 30 }), (list, capacity) => {
      const { bins, left } = pack(list, new Array<number>(list.length).fill(capacity));
      expect(left).toEqual([]);
      expect(bins.flat().sort((a, b) => a - b)).toEqual(list.map((_, index) => index));
      for (const bin of bins)
        expect(bin.reduce((sum, index) => sum + list[index]!, 0)).toBeLessThanOrEqual(capacity);
      const bounds = list.map((weight) => ({
        splits: 0,
        whole: [weight],
        loose: 0,
        parts: 1,
        leastPart: weight,
      }));
      expect(bins.length).toBeGreaterThanOrEqual(leastTrays(bounds, capacity));
    }),
  );
});
