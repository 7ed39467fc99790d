import fc from 'fast-check';
import { linearRegression } from 'simple-statistics';
import { solve } from './solve.ts';

const line = (points: readonly [number, number][], sigma = 1) =>
  solve(
    2,
    points.map(([x, y]) => ({
      of: new Map([
        [0, 1],
        [1, x],
      ]),
      seen: y,
      sigma,
    })),
  );

describe('weighted least squares', () => {
  it('is the regression line of a general-purpose library', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -100, max: 100 }), fc.integer({ min: -50, max: 50 })), {
          minLength: 3,
          maxLength: 30,
        }),
        (points) => {
          fc.pre(new Set(points.map(([x]) => x)).size > 1);
          const ours = line(points)!;
          const { m, b } = linearRegression(points);
          expect(ours.values[1]).toBeCloseTo(m, 6);
          expect(ours.values[0]).toBeCloseTo(b, 5);
        },
      ),
    );
  });

  it('says how sure each parameter is: the mean of n figures by sigma over the root of n', () => {
    const mean = solve(
      1,
      [3, 5, 4, 8].map((seen) => ({ of: new Map([[0, 1]]), seen, sigma: 2 })),
    )!;
    expect(mean.values[0]).toBeCloseTo(5, 12);
    expect(mean.sigmas[0]).toBeCloseTo(1, 12);
    expect(mean.left).toBeCloseTo((4 + 0 + 1 + 9) / 4, 12);
  });

  it('is nothing where a parameter is not settled', () => {
    expect(line([[3, 1]])).toBeNull();
    expect(
      line([
        [3, 1],
        [3, 2],
      ]),
    ).toBeNull();
  });
});
