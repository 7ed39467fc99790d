import { type Shot, shotChanges } from './shotChanges.ts';

const figure = (lossDb: number, sigmaDb = 0.002) => ({ lossDb, sigmaDb });
const shot = (traceId: string, ...losses: (number | null)[]): Shot => ({
  traceId,
  points: losses.map((loss) => (loss === null ? null : figure(loss))),
  total: figure(
    losses.reduce<number>((sum, loss) => sum + (loss ?? 0), 4),
    0.01,
  ),
});

describe('a fiber shot again after years', () => {
  it('says what moved, the surest first, and what only may have', () => {
    const changes = shotChanges([
      shot('built', 0.02, 0.05, 0.03),
      shot('between', 0.5, 0.5, 0.5),
      shot('now', 0.02, 0.15, 0.057),
    ]);
    expect(changes.map(({ point, verdict }) => [point, verdict])).toEqual([
      [1, 'moved'],
      [null, 'moved'],
      [2, 'maybe'],
      [0, 'same'],
    ]);
    expect(changes[0]!.byDb).toBeCloseTo(0.1, 9);
    // Both shots and what shots differ by anyway, as independent errors add up.
    expect(changes[0]!.sigmaDb).toBeCloseTo(Math.sqrt(2 * 0.002 ** 2 + 0.01 ** 2), 9);
  });

  it('a place that one of them does not see is left out; one shot alone tells no change', () => {
    const changes = shotChanges([shot('built', 0.02, null), shot('now', 0.02, 0.3)]);
    expect(changes.map(({ point }) => point)).not.toContain(1);
    expect(shotChanges([shot('built', 0.02)])).toEqual([]);
    expect(shotChanges([])).toEqual([]);
  });
});
