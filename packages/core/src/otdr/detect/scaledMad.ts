import { medianAbsoluteDeviation } from 'simple-statistics';

/** Median absolute deviations of a normal distribution in its standard deviation: 1 / Φ⁻¹(3/4). */
const NORMAL = 1.4826;

/**
 * The standard deviation of a list by its median absolute deviation, which a few strays leave as it is.
 * Source: Rousseeuw and Croux, Journal of the American Statistical Association 88 (1993), 1273-1283 (from memory).
 * @param list one value at least
 */
export const scaledMad = (list: readonly number[]): number =>
  NORMAL * medianAbsoluteDeviation([...list]);
