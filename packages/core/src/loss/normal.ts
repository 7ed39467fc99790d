/**
 * The standard normal distribution function.
 * Source: Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26 (from memory); off by
 * less than 1.5e-7.
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = series * Math.exp(-x * x);
  return z >= 0 ? 1 - tail / 2 : tail / 2;
}
