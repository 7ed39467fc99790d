import { REGIMES, measureRegime } from './regimes.testing.ts';

const TRACES = 12;

// Common practice, no source: what receivers do to noise and light, each by itself and together.
describe.each(REGIMES)('instruments of the regime $name', (regime) => {
  const figures = measureRegime(regime, 600, TRACES);

  it('joints are found, and none that is not there', () => {
    expect(figures.due).toBeGreaterThan(4 * TRACES);
    expect(figures.missed).toBeLessThanOrEqual(1);
    expect(figures.falsePer100).toBeLessThanOrEqual(100 / TRACES);
  });

  it('losses lie at the bound of the noise, and within what is said of them', () => {
    // A hundred joints tell a ratio to a tenth, and a share of two thirds to five in a hundred.
    expect(figures.ratio).toBeLessThan(1.15 * figures.limit);
    expect(figures.oneSigma).toBeGreaterThan(0.53);
    expect(figures.oneSigma).toBeLessThan(0.83);
    expect(figures.twoSigma).toBeGreaterThan(0.86);
  });

  it('the end is where it is, or said not to be seen', () => {
    expect(figures.endWrong).toBe(0);
  });
});
