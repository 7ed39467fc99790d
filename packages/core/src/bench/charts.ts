/** What a chart compares with: the level and spread while all was well. */
export interface Baseline {
  center: number;
  deviation: number;
}

export interface ChartPoint {
  value: number;
  ewma: number;
  /** Whether the single figure is outside, and whether the running mean is; `above` and `below` the center. */
  single: 'in' | 'above' | 'below';
  running: 'in' | 'above' | 'below';
}

export interface ControlChart {
  baseline: Baseline;
  points: ChartPoint[];
  /** Limits of the single figures and of the running mean. */
  singles: readonly [number, number];
  running: readonly [number, number];
}

/** Weight of the newest figure, and width of the limits in deviations of the running mean. */
export interface EwmaDesign {
  lambda: number;
  width: number;
}

/**
 * A false alarm in 500 figures on average.
 * Source: J. M. Lucas and M. S. Saccucci, Exponentially weighted moving average control schemes,
 * Technometrics 32(1), 1990 (from memory).
 */
export const EWMA_DESIGN: EwmaDesign = { lambda: 0.2, width: 2.962 };

/** Figures from which a chart has a baseline of its own. */
export const BASELINE_COUNT = 20;

/**
 * Level and spread of a series by its moving ranges: their mean over 1.128, as for ranges of two.
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2 (from memory).
 * @throws RangeError for fewer than two figures
 */
export function baselineOf(values: readonly number[]): Baseline {
  if (values.length < 2) throw new RangeError('A baseline takes two figures at least.');
  const center = values.reduce((sum, value) => sum + value, 0) / values.length;
  let ranges = 0;
  for (let index = 1; index < values.length; index++)
    ranges += Math.abs(values[index]! - values[index - 1]!);
  return { center, deviation: ranges / (values.length - 1) / 1.128 };
}

/**
 * Charts of individuals and of their exponentially weighted moving average.
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.4 (from memory), with the limits of the
 * long run.
 */
export function controlChart(
  values: readonly number[],
  baseline: Baseline,
  { lambda, width }: EwmaDesign = EWMA_DESIGN,
): ControlChart {
  const { center, deviation } = baseline;
  const reach = width * deviation * Math.sqrt(lambda / (2 - lambda));
  const singles = [center - 3 * deviation, center + 3 * deviation] as const;
  const running = [center - reach, center + reach] as const;
  let ewma = center;
  const points = values.map((value): ChartPoint => {
    ewma = lambda * value + (1 - lambda) * ewma;
    return { value, ewma, single: sideOf(value, singles), running: sideOf(ewma, running) };
  });
  return { baseline, points, singles, running };
}

const sideOf = (value: number, [low, high]: readonly [number, number]): ChartPoint['single'] =>
  value > high ? 'above' : value < low ? 'below' : 'in';
