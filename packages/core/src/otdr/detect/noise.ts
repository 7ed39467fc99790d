import { median } from 'simple-statistics';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

const BIN = 256;
/** Samples of a bin that are looked at: noise is the same in the others. */
const LOOKED_AT = 128;
/** Mean of the absolute value of a normal figure, in deviations. */
const MEAN_ABSOLUTE = Math.sqrt(2 / Math.PI);

/** Noise of single samples along a trace, a figure a bin of 256 samples, dB. */
export interface Noise {
  bins: Float64Array;
  /** As much without the rounding of stored levels, where that is more. */
  raw: Float64Array;
  /** Steps in which levels are stored, dB: their rounding alone is noise of a twelfth of their square. */
  storedStep: number;
  /** Standard deviation at a sample. */
  at(sample: number): number;
}

/**
 * The noise of a trace by second differences of neighbors, which slopes and all but the edge of an event
 * leave alone; smoothed by the middle of neighboring bins, for noise grows and does not jump.
 */
export function noiseAlong(levels: Float32Array): Noise {
  const count = Math.max(1, Math.ceil(levels.length / BIN));
  const raw = new Float64Array(count);
  for (let bin = 0; bin < count; bin++) {
    const from = Math.max(1, bin * BIN);
    const to = Math.min(levels.length - 1, bin * BIN + LOOKED_AT);
    let sum = 0;
    let level = levels[from]!;
    let step = level - levels[from - 1]!;
    for (let at = from + 1; at <= to; at++) {
      const next = levels[at]!;
      sum += Math.abs(next - level - step);
      step = next - level;
      level = next;
    }
    // The second difference of white noise has six times its variance.
    raw[bin] = to > from ? sum / (to - from) / (MEAN_ABSOLUTE * Math.sqrt(6)) : 0;
  }
  const storedStep = storedStepOf(levels);
  const ends = new Float64Array(count);
  for (let bin = 0; bin < count; bin++)
    ends[bin] = levelBefore(levels, Math.min(levels.length, (bin + 1) * BIN));
  const bins = new Float64Array(count);
  for (let bin = 0; bin < count; bin++) {
    let [from, to] = [bin, bin + 1];
    while (from > 0 && bin - from < SMOOTHED && isLike(ends, from - 1, bin)) from--;
    while (to < count && to - bin <= SMOOTHED && isLike(ends, to, bin)) to++;
    bins[bin] = median(raw.subarray(from, to) as unknown as number[]);
  }
  return overRounding(bins, storedStep);
}

/** Noise is never less than the rounding of stored levels alone. */
function overRounding(raw: Float64Array, storedStep: number): Noise {
  const least = Math.max(FINEST, storedStep) / Math.sqrt(12);
  return {
    ...alongBins(
      raw.map((deviation) => Math.max(least, deviation)),
      storedStep,
    ),
    raw,
  };
}

/** Bins to either side that noise is smoothed over, unless their levels are so many dB away: noise jumps with a level. */
const SMOOTHED = 3;
const ALIKE_DB = 2;
/** Samples of which the level at the back of a bin is the mean. */
export const NOISE_BEHIND = 16;

/** The level at the back of a bin: noise behind a loss counts for all of the bin that it lies in. */
function levelBefore(levels: Float32Array, end: number): number {
  const from = Math.max(0, end - NOISE_BEHIND);
  let sum = 0;
  for (let at = from; at < end; at++) sum += levels[at]!;
  return sum / Math.max(1, end - from);
}

const isLike = (levels: Float64Array, one: number, other: number): boolean =>
  Math.abs(levels[one]! - levels[other]!) < ALIKE_DB;

/** Neighbors that are compared for the step of stored levels, and what is only a rounding of numbers, dB. */
const COMPARED = 2000;
const ROUNDING = 2e-5;

/** Steps in which levels are stored, dB: the least by which neighbors differ. Fine steps are hidden by noise. */
function storedStepOf(levels: Float32Array): number {
  const every = Math.max(1, Math.floor(levels.length / 2 / COMPARED));
  let least = Infinity;
  for (let at = every; at < levels.length / 2; at += every) {
    const difference = Math.abs(levels[at]! - levels[at - 1]!);
    if (difference > ROUNDING && difference < least) least = difference;
  }
  return least === Infinity ? FINEST : least;
}

const alongBins = (bins: Float64Array, storedStep: number): Noise => ({
  bins,
  raw: bins,
  storedStep,
  at: (sample) => bins[Math.min(bins.length - 1, Math.max(0, Math.floor(sample / BIN)))]!,
});

/** The same noise with other figures of its bins, dB. */
export const withBins = ({ storedStep }: Noise, bins: Float64Array): Noise =>
  alongBins(bins, storedStep);

/** Noise that neighbors share: so many times as large as their differences say, but for the rounding of levels. */
export function shared({ raw, storedStep }: Noise, times: number): Noise {
  const rounding = Math.max(FINEST, storedStep) ** 2 / 12;
  const bins = raw.map((deviation) => {
    const square = deviation * deviation;
    const own = Math.max(square - rounding, LEAST_SHARE * square);
    return Math.sqrt(own * times * times + rounding);
  });
  return { ...alongBins(bins, storedStep), raw };
}

/** Rounding that is not independent from sample to sample leaves less to differences: such a part of them is noise at least. */
const LEAST_SHARE = 0.1;

/** The same noise, so many times as large. */
export const scaled = ({ bins, storedStep }: Noise, times: number): Noise =>
  alongBins(
    bins.map((deviation) => deviation * times),
    storedStep,
  );

/** Levels are stored in thousandths of a dB, as the file format says (Telcordia SR-4731, from memory). */
const FINEST = 0.001;

export const NOISE_BIN = BIN;
