import { quickselect } from 'simple-statistics';
import type { Noise } from './noise.ts';

/** Distances between samples that are compared, and how many pairs of each. */
const LAGS = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 48, 64, 96, 128, 192] as const;
const PAIRS = 3000;
/** Median absolute deviation of a normal figure, in standard deviations. */
const MEDIAN_ABSOLUTE = 0.6745;
/** How many times the sum of autocorrelations the distance must be at which it ends. A. Sokal's window, from memory. */
const ENOUGH = 2.5;

/** What samples still share over a distance at which it ends. */
const LITTLE = 0.05;

/** How samples hang together that lie beside each other. */
export interface Correlation {
  /** Their standard deviation, in those that second differences say: these see less of noise that changes slowly. */
  deviation: number;
  /** How many samples know as much as one that is independent: (1 + r) / (1 - r) where each shares r with the next. */
  samples: number;
}

const INDEPENDENT: Correlation = { deviation: 1, samples: 1 };

/**
 * How the noise of a trace hangs together from sample to sample.
 *
 * Half the variance of differences over a distance (the variogram) is the variance less what both share: its growth
 * with the distance is the autocorrelation. Medians leave events out, of which few pairs have one between them.
 * Source: G. Matheron, Economic Geology 58 (1963), 1246-1266, for the variogram; the sum of autocorrelations as variance
 * of a mean: G. Box and G. Jenkins, Time Series Analysis, chapter 2 (both from memory).
 * @param levels dB, one a sample
 * @param start the first sample that counts, and `to` the one after the last
 */
export function correlationOf(
  levels: Float32Array,
  noise: Noise,
  start: number,
  to: number,
): Correlation {
  const isCoarse = noise.at(start) < COARSE * noise.storedStep;
  // Where rounding hides the noise at first it is told where it has grown.
  const from = isCoarse ? start + Math.floor((to - start) / 3) : start;
  if (to - from < 20 * LAGS[5]) return INDEPENDENT;
  if (!isCoarse && looksWhite(levels, noise, from, to)) return INDEPENDENT;
  const slope = slopeOf(levels, from, to, Math.min(64, (to - from) >> 4), noise.storedStep);
  const variances: { lag: number; value: number }[] = [];
  for (const lag of LAGS) {
    // Steps between so distant samples would be most of what is seen.
    if (to - from < 20 * lag) break;
    variances.push({ lag, value: variogram(levels, noise, from, to, lag, slope) });
  }
  for (let reach = 1; reach + 2 < variances.length; reach++) {
    const beyond = variances.slice(reach, reach + 3);
    const whole = beyond.reduce((sum, { value }) => sum + value, 0) / beyond.length;
    let [sum, most] = [0, 0];
    let [lastLag, lastShared] = [0, 1];
    for (const { lag, value } of variances.slice(0, reach + 1)) {
      const own = 1 - value / whole;
      // The trapezium between two distances, for the autocorrelations that were not looked at.
      sum += ((lastShared + own) / 2) * (lag - lastLag);
      [lastLag, lastShared] = [lag, own];
      most = Math.max(most, sum);
    }
    // Far enough: what is left of the sum beyond is little, and would be mostly chance, or steps of the fiber.
    const isFar = lastLag >= ENOUGH * 2 * sum || lastShared < LITTLE;
    if (!isFar && reach + 3 < variances.length) continue;
    // Levels that go down in stairs are the more alike the closer they lie, and average out over a whole stair.
    const samples = (1 + UNKNOWN) * 2 * (isCoarse ? most : sum);
    return { deviation: Math.sqrt(whole), samples: Math.max(1, samples) };
  }
  return INDEPENDENT;
}

/** Samples that are passed over between two looks, a distance that is long for noise, and what is chance in its share. */
const EVERY = 16;
const LONG = 8;
const WHITE = 1.05;
/** A difference of so many deviations is an event's. */
const STRAY = 6;

/** Whether samples far from each other differ no more than neighbors do: most traces, and soon told. */
function looksWhite(levels: Float32Array, noise: Noise, from: number, to: number): boolean {
  const slope = (levels[to - 1]! - levels[from]!) / (to - 1 - from);
  let [near, far] = [0, 0];
  for (let at = from; at + LONG < to; at += EVERY) {
    const level = levels[at]!;
    const deviation = noise.at(at);
    const short = Math.abs(levels[at + 1]! - level - slope);
    const long = Math.abs(levels[at + LONG]! - level - slope * LONG);
    if (long > STRAY * deviation || short > STRAY * deviation) continue;
    near += short / deviation;
    far += long / deviation;
  }
  return far < WHITE * near;
}

/** What is added because a trace tells only nearly how it hangs together. */
const UNKNOWN = 0.1;
/** Noise of less stored steps leaves their stairs to be seen. */
const COARSE = 1.2;
/** Multiples of it fill a step evenly, in any number. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Differences of stored levels are whole steps, without a middle: they are spread evenly over half a step either way. */
const spreadOf = (pair: number): number => ((pair * GOLDEN) % 1) - 0.5;
const LEAST_VARIANCE = 1e-6;

const differences = new Float64Array(PAIRS);

/** Half the variance of differences over a distance, in variances that second differences say. */
function variogram(
  levels: Float32Array,
  noise: Noise,
  from: number,
  to: number,
  lag: number,
  slope: number,
): number {
  const count = Math.min(PAIRS, to - from - lag);
  const stride = (to - from - lag) / count;
  const trend = slope * lag;
  const { storedStep } = noise;
  let spread = 0;
  for (let pair = 0; pair < count; pair++) {
    const at = from + Math.floor(pair * stride);
    const share = 1 / noise.at(at);
    const difference = levels[at + lag]! - levels[at]! + storedStep * spreadOf(pair);
    differences[pair] = Math.abs(difference - trend) * share;
    spread += share * share;
  }
  const middle = count >> 1;
  const sorted = differences.subarray(0, count).sort();
  const added = ((storedStep ** 2 / 12) * spread) / count;
  return Math.max(LEAST_VARIANCE, (sorted[middle]! / MEDIAN_ABSOLUTE) ** 2 - added) / 2;
}

/** dB a sample, by the middle of differences over a distance: events leave it alone. */
export function slopeOf(
  levels: Float32Array,
  from: number,
  to: number,
  lag: number,
  storedStep: number,
): number {
  const count = Math.min(601, to - from - lag);
  const stride = (to - from - lag) / count;
  const list = Array.from({ length: count }, (_, pair) => {
    const at = from + Math.floor(pair * stride);
    return levels[at + lag]! - levels[at]! + storedStep * spreadOf(pair);
  });
  quickselect(list, count >> 1, 0, count - 1);
  return list[count >> 1]! / lag;
}
