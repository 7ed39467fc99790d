import { REGIMES, measureRegime } from './regimes.testing.ts';

/** `npm run test:long -- regimes` draws more. */
const TRACES = Number(process.env.CORDEL_TRACES ?? 6);

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
    const spread = 10 / Math.sqrt(figures.due);
    expect(figures.ratio).toBeLessThan((1 + 0.2 * spread) * figures.limit);
    expect(figures.oneSigma).toBeGreaterThan(0.68 - 0.15 * spread);
    expect(figures.oneSigma).toBeLessThan(0.68 + 0.15 * spread);
    expect(figures.twoSigma).toBeGreaterThan(0.95 - 0.09 * spread);
  });

  it('the end is where it is, or said not to be seen', () => {
    expect(figures.endWrong).toBe(0);
  });
});
