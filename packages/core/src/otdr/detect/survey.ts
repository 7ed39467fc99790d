import { correlationOf } from './correlation.ts';
import { findEnd } from './findEnd.ts';
import { NOISE_BIN, type Noise, noiseAlong, scaled } from './noise.ts';
import { Segments } from './segments.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A rise of so many deviations, and of so many dB, is a reflection. */
export const PEAK = { deviations: 8, least: 0.3 };
/** Noise of single samples over which there is no fiber any more, dB. */
const FLOOR = 1.5;

/** Kept from trace to trace: to ask for megabytes anew takes longer than to fill them. */
let sumsRoom = new Float64Array(0);
const rooms = {
  weights: new Float32Array(0),
  means: new Float32Array(0),
};

function roomOfSums(samples: number): Float64Array<ArrayBuffer> {
  if (sumsRoom.length < Segments.roomFor(samples))
    sumsRoom = new Float64Array(Segments.roomFor(samples));
  return sumsRoom;
}

/** So many figures of a room; what is in them is left over from the trace before. */
function roomOf(name: keyof typeof rooms, samples: number): Float32Array {
  if (rooms[name].length < samples) rooms[name] = new Float32Array(samples);
  return rooms[name].subarray(0, samples);
}

/** A reflection. Places in samples, dB over the level before it. */
export interface Peak {
  at: number;
  /** The sample after its dead zone. */
  to: number;
  height: number;
}

/** What a trace is made of before anything is looked for in it. Places in samples. */
export interface Survey {
  noise: Noise;
  /** How many samples know as much as one that is independent. */
  correlated: number;
  /** Samples that a step is spread over. */
  gap: number;
  peaks: Peak[];
  /** The first sample behind the launch, the end of the fiber if it is seen, and where looking stops. */
  start: number;
  end: number | null;
  /** Where single samples say nothing of the fiber any more; null where they do up to its end. */
  lost: number | null;
  stop: number;
}

/**
 * Noise as it grows, the end, and reflections with their dead zones.
 * @param levels dB, one a sample
 * @param pulse samples that a pulse covers
 * @param spacingM meters between samples
 */
export function surveyOf(levels: Float32Array, pulse: number, spacingM = 1): Survey {
  const gap = Math.max(2, Math.round(pulse));
  const quick = noiseAlong(levels);
  const { deviation, samples } = correlationOf(levels, quick, 4 * gap + 20, calmTo(quick));
  const isWhite = samples < CHANCE && Math.abs(deviation - 1) < CHANCE - 1;
  const noise = isWhite ? quick : scaled(quick, deviation);
  const correlated = isWhite ? 1 : samples;
  const { end, lost } = findEnd(levels, noise, correlated, gap, spacingM);
  // The edge of the end is no part of the fiber before it.
  const stop = Math.min(levels.length, end === null ? levels.length : Math.max(0, end - (gap >> 1)), lost ?? levels.length);
  const noiseOf = (at: number) => noise.at(at) * Math.sqrt(correlated);
  const launch = Math.min(stop, launchZone(levels, noise, gap, stop));
  const start = afterTail(levels, noiseOf(launch), launch, stop, gap);
  const isOfEnd = ({ at }: Peak) => end !== null && at > end - gap - 2;
  const all = findPeaks(levels, noise, gap, start, stop).filter((peak) => !isOfEnd(peak));
  const peaks = all.map((peak, index) => {
    const next = all[index + 1]?.at ?? stop;
    return { ...peak, to: afterTail(levels, noiseOf(peak.to), peak.to, next, gap) };
  });
  return { noise, correlated, gap, peaks, start, end, lost, stop };
}

/** Samples of a block that knows nothing of the next one, in those that know as much as one independent sample. */
const BLOCK = 6;

/** How long blocks are by which weights are checked; null where samples are independent, and known by themselves. */
export const blockOf = ({ correlated }: Survey, pool = 1): number | null =>
  correlated === 1 ? null : Math.ceil((BLOCK * correlated) / pool);

/** Correlation that is less may be chance. */
const CHANCE = 1.35;
/** Noise that has grown so many times over its least is no more of the fiber's calm part. */
const CALM = 12;

/** The sample up to which noise is calm: what hangs together is told there. */
function calmTo({ bins }: Noise): number {
  const most = CALM * Math.min(...bins);
  const loud = bins.findIndex((deviation) => deviation > most);
  return (loud < 0 ? bins.length - 1 : loud) * NOISE_BIN;
}

/**
 * Weighted sums over all that is fiber, for lines through it; they share their room with the next ones.
 * @param pool how many samples are taken together; a place of the sums is as many samples
 */
export function segmentsOf(
  levels: Float32Array,
  { noise, correlated, peaks, start, stop }: Survey,
  pool = 1,
): Segments {
  const count = Math.floor(stop / pool);
  const [weights, means] = [roomOf('weights', count), roomOf('means', count)];
  for (let bin = 0, at = 0; at < count; bin++) {
    const deviation = noise.bins[bin]!;
    const weight = pool / (deviation * deviation * correlated);
    const bias = biasOf(deviation);
    const to = Math.min(count, Math.ceil(((bin + 1) * NOISE_BIN) / pool));
    for (; at < to; at++) {
      let level = 0;
      for (let next = at * pool, end = next + pool; next < end; next++) level += levels[next]!;
      means[at] = level / pool + bias;
      weights[at] = weight;
    }
  }
  weights.fill(0, 0, Math.min(count, Math.ceil(start / pool)));
  for (const { at, to } of peaks)
    weights.fill(0, Math.floor(at / pool), Math.min(count, Math.ceil(to / pool)));
  return new Segments(means, weights, roomOfSums(count));
}

/** A survey as sums of pooled samples count it: whatever is masked stays so. */
export const pooled = (survey: Survey, pool: number): Survey => ({
  ...survey,
  gap: Math.ceil(survey.gap / pool),
  peaks: survey.peaks.map(({ at, to, height }) => ({
    at: Math.floor(at / pool),
    to: Math.ceil(to / pool),
    height,
  })),
  start: Math.ceil(survey.start / pool),
  stop: Math.floor(survey.stop / pool),
});

/** Noise from which on the logarithm's own error counts, dB. */
const BIASED = 0.05;

/**
 * What the logarithm of noise takes off a level, dB: 5 log10(1 + x) of a noise x lies below 0 in the
 * mean, to second order by ln(10)/10 times the square of the noise in dB.
 */
const biasOf = (deviation: number): number =>
  deviation <= BIASED || deviation > FLOOR ? 0 : (Math.LN10 / 10) * deviation * deviation;

/** How far a tail is followed, in blocks; and how long blocks are, in pulses. */
const MOST_TAIL = 40;
const TAIL_SIZES = [2, 6, 12];
/** A block lies above the line behind it by so many deviations where a tail is not over yet. */
const TAIL = 3;

/**
 * Where the receiver's tail after a reflection is gone: a block of samples lies on the line through those behind it. A
 * tail is exponential: it is less than noise by far once it was followed half as far again.
 * @param from the first sample behind the reflection's dead zone
 * @param stop where the next event, or the end, begins
 */
function afterTail(
  levels: Float32Array,
  deviation: number,
  from: number,
  stop: number,
  gap: number,
): number {
  let at = from;
  for (const size of TAIL_SIZES) {
    const next = followTail(levels, deviation, at, stop, size * Math.max(4, gap));
    // What is not seen in short blocks is no tail: longer ones would take a joint for one.
    if (next === at) break;
    at = next;
  }
  return at === from ? from : Math.min(stop, at + Math.round((at - from) / 2));
}

/** The end of the last block, of some one behind the other, that lies above the line behind it. */
function followTail(
  levels: Float32Array,
  deviation: number,
  from: number,
  stop: number,
  block: number,
): number {
  const line = 6 * block;
  // The variance of a block's mean, and of a line at half a block before its beginning.
  const bar = TAIL * deviation * Math.sqrt(1 / block + 4.6 / line);
  let at = from;
  for (let begin = from, calm = 0; calm < 3 && begin + block + line < stop; begin += block) {
    const own = meanOf(levels, begin, begin + block);
    const isAbove = own - lineAt(levels, begin + block, line, begin + block / 2) > bar;
    calm = isAbove ? 0 : calm + 1;
    if (isAbove) at = begin + block;
    if (begin - from > MOST_TAIL * block) break;
  }
  return at;
}

/** A line through some samples, read at a place. */
function lineAt(levels: Float32Array, from: number, count: number, place: number): number {
  const center = from + (count - 1) / 2;
  let [sum, along] = [0, 0];
  for (let at = from; at < from + count; at++) {
    sum += levels[at]!;
    along += (at - center) * levels[at]!;
  }
  const spread = (count * (count * count - 1)) / 12;
  return sum / count + (along / spread) * (place - center);
}

/** The first sample behind the launch: its peak, and the way back from it. */
function launchZone(levels: Float32Array, noise: Noise, gap: number, stop: number): number {
  const near = Math.min(stop, 4 * gap + 20);
  const settle = Math.min(stop, near + 400);
  if (settle - near < 40) return near;
  let mean = 0;
  for (let at = near; at < settle; at++) mean += levels[at]!;
  mean /= settle - near;
  const limit = mean + Math.max(0.5, 6 * noise.at(near));
  let at = near;
  while (at > 0 && levels[at - 1]! < limit) at--;
  return Math.min(near, at + gap);
}

/** Reflections: rises far above the noise, each with a dead zone until the level is calm again. */
function findPeaks(
  levels: Float32Array,
  noise: Noise,
  gap: number,
  start: number,
  stop: number,
): Peak[] {
  const peaks: Peak[] = [];
  let bar = 0;
  let [last, one] = [levels[start]!, levels[start + 1]!];
  for (let at = start + 2; at < stop; at++) {
    if ((at & 63) === 0 || bar === 0)
      bar = Math.max(PEAK.least, PEAK.deviations * noise.at(at) * Math.SQRT2);
    const level = levels[at]!;
    const rise = level - last;
    last = one;
    one = level;
    if (rise < bar) continue;
    const before = meanOf(levels, Math.max(start, at - 2 - 2 * gap), at - 1);
    let top = level;
    let end = at;
    const most = Math.min(stop, at + 6 * gap + 60);
    while (end < most && levels[end]! > before + bar / 2) top = Math.max(top, levels[end++]!);
    // A sample far below its neighbours rises beside itself, and is no reflection.
    if (top < before + bar) continue;
    if (end - at < Math.max(2, gap / 3) && top < before + 2 * bar) continue;
    peaks.push({ at: at - 1, to: Math.min(stop, end + 2 * gap + 3), height: top - before });
    at = end + gap;
    last = levels[at - 1]!;
    one = levels[at]!;
  }
  return peaks;
}

export function meanOf(levels: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let at = from; at < to; at++) sum += levels[at]!;
  return sum / Math.max(1, to - from);
}
