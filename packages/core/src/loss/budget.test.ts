import { USUAL_BUDGET } from '../record/budget.ts';
import { budgetOf } from './budget.ts';

const figure = (lossMdb: number, sigmaMdb = 8) => ({ lossMdb, sigmaMdb });

describe('the budget of a circuit', () => {
  // ITU-T G.652.D: 0.40 dB/km at 1310 nm, 0.30 dB/km at 1550 nm; TIA-568: 0.3 dB a splice, 0.75 dB a
  // connector pair; from memory. 10 km, 4 splices, 2 pairs: 4.0 + 1.2 + 1.5 and 3.0 + 1.2 + 1.5 dB.
  it.each([
    [1310, 6700],
    [1550, 5700],
  ])('the most at %d nm by the standards is %d thousandths', (nm, most) => {
    const budget = budgetOf(
      { lengthM: 10_000, splices: [null, null, null, null] },
      nm,
      USUAL_BUDGET,
    )!;
    expect(budget.limitMdb).toBeCloseTo(most, 9);
  });

  it('worked by hand: length x attenuation + splices + connectors, spreads as squares', () => {
    const budget = budgetOf({ lengthM: 10_000, splices: [figure(50), null] }, 1550, USUAL_BUDGET)!;
    expect(budget.expectedMdb).toBeCloseTo(10 * 200 + 2 * 40 + 2 * 250, 9);
    expect(budget.madeMdb).toBeCloseTo(10 * 200 + 50 + 40 + 2 * 250, 9);
    expect(budget.madeSigmaMdb).toBeCloseTo(
      Math.sqrt(80 ** 2 + 8 ** 2 + 30 ** 2 + 2 * 120 ** 2),
      9,
    );
    expect(budget.marginMdb).toBeCloseTo(budget.limitMdb - budget.madeMdb, 9);
  });

  it('what was measured counts before what is calculated; connectors are added, for a trace does not see them', () => {
    const budget = budgetOf(
      { lengthM: 10_000, splices: [figure(50)] },
      1550,
      { ...USUAL_BUDGET, most: 3000 },
      { lossMdb: 2700, sigmaMdb: 3 },
    )!;
    expect(budget.measuredMdb).toBe(2700 + 500);
    expect(budget.marginMdb).toBe(-200);
    expect(budget.marginSigmaMdb).toBeCloseTo(Math.hypot(3, 120 * Math.SQRT2), 9);
  });

  it('says what of it nobody measured: connectors without a figure, and splitters', () => {
    const of = (ends: ({ lossMdb: number; sigmaMdb: number } | null)[]) =>
      budgetOf({ lengthM: 1000, splices: [], ends, splitterMdb: 7200 }, 1550, USUAL_BUDGET)!
        .assumedMdb;
    // Two connector pairs of 250 each, and a splitter; an end with a figure is no guess any more.
    expect(of([])).toBe(2 * 250 + 7200);
    expect(of([null, figure(310)])).toBe(250 + 7200);
    expect(of([figure(200), figure(310)])).toBe(7200);
  });

  it('glass between two wavelengths lies between them; beyond them, or without a length, there is no budget', () => {
    const between = budgetOf({ lengthM: 1000, splices: [] }, 1430, USUAL_BUDGET)!;
    expect(between.expectedMdb - 500).toBeCloseTo(270, 9);
    expect(budgetOf({ lengthM: 1000, splices: [] }, 850, USUAL_BUDGET)).toBeNull();
    expect(budgetOf({ lengthM: null, splices: [] }, 1550, USUAL_BUDGET)).toBeNull();
  });
});
