import { NOISE_BIN, type Noise, withBins } from './noise.ts';
import { powerOf } from './power.ts';

// Noise adds to the power of light. Its logarithm is skew: in the mean it lies below the level of the light, the more the
// less light there is, and a straight fiber looks bent. Constants that name no source were tuned on simulated instruments.

/** Noise of single samples from which on the mean of the logarithm is corrected, and from which on each sample is, dB. */
const BIASED = 0.05;
const DEEP = 0.3;
/** Samples to either side by whose mean power a sample is told, times what they share; never more than a bin. */
const HALF = 32;
/** Fewer samples tell no noise. */
const LEAST = 64;
/** Levels within a bin that differ by so much have an event between them, as powers. */
const STEADY = 1.3;
/** dB of a small share of the power: the derivative of 5 log10. */
const DB_PER_SHARE = 5 / Math.LN10;
/** Mean of the absolute second difference of normal figures, in deviations. */
const MEAN_SECOND_DIFFERENCE = Math.sqrt(6) * Math.sqrt(2 / Math.PI);

/** Levels whose noise is as that of the power, and what it is then. */
export interface Unskewed {
  levels: Float32Array;
  noise: Noise;
  /** What is to be added to levels, dB: a figure a bin; null where it is nothing. */
  biases: Float64Array | null;
}

/**
 * Corrects levels that noise makes skew. Where noise is little, what the logarithm takes off in the mean is to be added.
 * Where it is much, the logarithm is replaced by its tangent at the mean power about the sample: that is as far from
 * the mean as the power is, and so has no skew.
 * @param levels dB, one a sample
 * @param correlated how many samples know as much as one that is independent
 * @param times deviation of the noise, in those that second differences say
 * @param from the first sample that counts, and `to` the one after the last
 */
export function unskewed(
  levels: Float32Array,
  noise: Noise,
  correlated: number,
  times: number,
  from: number,
  to: number,
): Unskewed {
  const last = Math.min(noise.bins.length, Math.ceil(to / NOISE_BIN));
  // Light only gets less: it is deep in noise from some place on.
  let deepFrom = last;
  while (deepFrom > 0 && noise.bins[deepFrom - 1]! > DEEP) deepFrom--;
  let biases: Float64Array | null = null;
  for (let bin = 0; bin < deepFrom; bin++) {
    if (noise.bins[bin]! <= BIASED) continue;
    biases ??= new Float64Array(noise.bins.length);
    biases[bin] = biasOf(noise.bins[bin]!);
  }
  const deep = Math.max(from, deepFrom * NOISE_BIN);
  if (to - deep < LEAST) return { levels, noise, biases };
  const corrected = levels.slice();
  const half = Math.round(Math.min(NOISE_BIN / 2, HALF * correlated));
  const around = new Surroundings(levels, Math.max(from, deep - 2 * half), to, half);
  const deviation = times * around.deviation(deep);
  const bins = Float64Array.from(noise.bins);
  for (let bin = deepFrom; bin < last; bin++) {
    const begin = Math.max(from, bin * NOISE_BIN);
    const end = Math.min(to, (bin + 1) * NOISE_BIN);
    if (begin >= end) continue;
    for (let at = begin; at < end; at++) corrected[at] = around.tangent(at);
    bins[bin] = (DB_PER_SHARE * deviation) / around.steady(begin, end);
  }
  return { levels: corrected, noise: withBins(noise, bins), biases };
}

/**
 * What the logarithm of noise takes off a level, dB: 5 log10(1 + x) of a noise x lies below 0 in the mean, to second
 * order by ln(10)/10 times the square of the noise in dB.
 */
const biasOf = (deviation: number): number => (Math.LN10 / 10) * deviation * deviation;

/** Mean power about each sample of a part of a trace, over whichever of three windows has no event in it. */
class Surroundings {
  readonly from: number;
  private readonly half: number;
  private readonly powers: Float64Array;
  /** Of the window about each sample that has one. */
  private readonly means: Float64Array;
  private readonly variances: Float64Array;

  constructor(levels: Float32Array, from: number, to: number, half: number) {
    const count = to - from;
    this.from = from;
    this.half = Math.min(half, (count - 1) >> 1);
    const width = 2 * this.half + 1;
    const powers = (this.powers = new Float64Array(count));
    const means = (this.means = new Float64Array(count));
    const variances = (this.variances = new Float64Array(count));
    let sum = 0;
    let square = 0;
    for (let at = 0; at < count; at++) {
      const power = (powers[at] = powerOf(levels[from + at]!));
      sum += power;
      square += power * power;
      if (at < width - 1) continue;
      const mean = sum / width;
      means[at - this.half] = mean;
      variances[at - this.half] = square / width - mean * mean;
      const first = powers[at - width + 1]!;
      sum -= first;
      square -= first * first;
    }
  }

  /** Deviation of the power of single samples from one on. */
  deviation(from: number): number {
    const { powers } = this;
    let sum = 0;
    const first = from - this.from;
    for (let at = first + 1; at + 1 < powers.length; at++)
      sum += Math.abs(powers[at + 1]! - 2 * powers[at]! + powers[at - 1]!);
    return sum / (powers.length - 2 - first) / MEAN_SECOND_DIFFERENCE;
  }

  /** Mean power about a sample: of the windows before, around and behind it that of the least variance. */
  mean(at: number): number {
    const { half, variances } = this;
    const own = at - this.from;
    const most = variances.length - 1 - half;
    let best = Math.min(most, Math.max(half, own));
    const before = Math.max(half, own - half);
    const behind = Math.min(most, own + half);
    if (variances[before]! < variances[best]!) best = before;
    if (variances[behind]! < variances[best]!) best = behind;
    return this.means[best]!;
  }

  /** A level as the tangent of the logarithm at the mean power says. */
  tangent(at: number): number {
    const mean = this.mean(at);
    const share = this.powers[at - this.from]! / mean - 1;
    return 5 * Math.log10(mean) + DB_PER_SHARE * share;
  }

  /** Power of a bin: of its least part where an event lies in it. */
  steady(from: number, to: number): number {
    const means = [from, (from + to) >> 1, to - 1].map((at) => this.mean(at));
    const least = Math.min(...means);
    const mean = means.reduce((sum, own) => sum + own, 0) / means.length;
    return Math.max(...means) > STEADY * least ? least : mean;
  }
}
