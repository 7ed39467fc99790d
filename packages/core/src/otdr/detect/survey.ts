import { quantile } from 'simple-statistics';
import { correlationOf } from './correlation.ts';
import { isSumOfTwo } from './echoes.ts';
import { type FiberEnd, findEnd } from './findEnd.ts';
import { overStairs, stairOf } from './stairs.ts';
import { NOISE_BEHIND, NOISE_BIN, type Noise, noiseAlong, scaled, shared } from './noise.ts';
import { Segments } from './segments.ts';
import { unskewed } from './unskew.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A rise of so many deviations, and of so many dB, is a reflection. */
export const PEAK = { deviations: 8, least: 0.3 };

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
  /** dB, one a sample; smoothed over the stairs of coarsely stored ones. */
  levels: Float32Array;
  /** What is to be added to these, dB: a figure a bin of noise; null where it is nothing. */
  biases: Float64Array | null;
  /** Samples over which steps of these may be smoothed, by the receiver or here, besides the pulse. */
  smear: number;
  noise: Noise;
  /** How many samples know as much as one that is independent. */
  correlated: number;
  /** Samples beside reflections that were smoothed over less than others, and count for nothing. */
  blurred: number;
  /** Samples of blocks by which weights are checked; null where samples are independent, and known by themselves. */
  block: number | null;
  /** Meters between samples. */
  spacingM: number;
  /** Samples that a step is spread over. */
  gap: number;
  peaks: Peak[];
  /** The first sample behind the launch, the end of the fiber if it is seen, and where looking stops. */
  start: number;
  end: number | null;
  /** Where single samples say nothing of the fiber any more; null where they do up to its end. */
  lost: number | null;
  stop: number;
  /** What is lost at once where the fiber is lost in noise, dB; null where it fades. */
  drop: FiberEnd['drop'];
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
  const noise = isWhite ? quick : shared(quick, deviation);
  const correlated = isWhite ? 1 : samples;
  const told = findEnd(levels, noise, correlated, gap, spacingM);
  const { lost } = told;
  let end = told.end;
  // The edge of the end is no part of the fiber before it.
  const edge = (gap >> 1) + Math.ceil(correlated / 2);
  const last = end === null ? levels.length : Math.max(0, end - edge);
  const stop = Math.min(levels.length, last, lost ?? levels.length);
  const stair = stairOf(levels, noise, Math.min(stop, 4 * gap + 20), stop);
  const rounding = stair === 1 ? 0 : noise.storedStep ** 2 / 12;
  const tailOf = (from: number, next: number) =>
    afterTail(levels, from, {
      stop: next,
      variance: noise.at(from) ** 2 * correlated,
      rounding,
      stair,
      gap,
      reach: TAIL_M / spacingM,
    });
  const launch = Math.min(stop, launchZone(levels, noise, gap, stop));
  const start = tailOf(launch, stop);
  const isOfEnd = ({ at }: Peak) => end !== null && at > end - gap - 2;
  const all = findPeaks(levels, noise, gap, start, stop).filter((peak) => !isOfEnd(peak));
  // A reflection in the dark that is as far as two others together is their echo: the fiber ended before.
  if (told.before !== null && end !== null) {
    const mirrors = all.map(({ at }) => at);
    if (told.before.isReflection) mirrors.push(told.before.at);
    if (isSumOfTwo(end, mirrors, gap + ECHO_NEAR)) end = told.before.at;
  }
  const peaks = all.map((peak, index) => {
    const next = all[index + 1]?.at ?? stop;
    return { ...peak, to: tailOf(peak.to, next) };
  });
  const block = correlated === 1 ? null : BLOCK * correlated;
  // What noise is smoothed over, steps are too.
  const smear = Math.ceil(correlated - 1);
  const found = { spacingM, gap, peaks, start, end, lost, stop, drop: told.drop };
  const corrected = unskewed(levels, noise, correlated, isWhite ? 1 : deviation, start, stop);
  if (stair === 1) return { ...corrected, correlated, block, smear, blurred: 0, ...found };
  return {
    levels: overStairs(corrected.levels, stair, start, peaks, stop),
    biases: corrected.biases,
    noise: scaled(corrected.noise, STAIR_ERROR * Math.sqrt(correlated / (stair + correlated))),
    correlated: stair + correlated,
    block: BLOCK * correlated + STAIR_BLOCK * stair,
    smear: stair - 1 + smear,
    blurred: (stair - 1) / 2,
    ...found,
  };
}

/** What is left of stairs that are not quite of one length, in deviations of all noise. */
const STAIR_ERROR = 1.06;
/** How far an echo may lie from the sum of its mirrors, in samples, besides a pulse. */
const ECHO_NEAR = 4;

/** Samples of a block that knows nothing of the next one, in those that know as much as one independent one, and in stairs. */
const BLOCK = 6;
/** Variance of the mean of such a block, in what it would be of a long one, where each sample shares with the next. */
const SHORT = 1 - 1 / (2 * BLOCK);
const STAIR_BLOCK = 1.5;

/** Correlation that is less may be chance. */
const CHANCE = 1.35;
/** Noise that has grown so many times over its least is no more of the fiber's calm part. */
const CALM = 12;

/** The sample up to which noise is calm: what hangs together is told there. */
function calmTo({ bins }: Noise): number {
  // Not the least: where the launch glares there is next to no noise.
  const most = CALM * quantile(Array.from(bins), 0.1);
  const loud = bins.findIndex((deviation) => deviation > most);
  return (loud < 0 ? bins.length - 1 : loud) * NOISE_BIN;
}

/** Noise that grows so many times from a bin to the next jumps with a level. */
const JUMP = 1.5;

/** How much the attenuation of one fiber differs from that of the next, a standard deviation (common practice, no source). */
const SLOPES_DB_PER_M = 0.015 / 1000;

/**
 * Weighted sums over all that is fiber, for lines through it; they share their room with the next ones.
 * @param pool how many samples are taken together; a place of the sums is as many samples
 */
export function segmentsOf(
  { levels, biases, noise, correlated, peaks, start, stop, gap, spacingM, blurred }: Survey,
  pool = 1,
): Segments {
  const count = Math.floor(stop / pool);
  const [weights, means] = [roomOf('weights', count), roomOf('means', count)];
  const weightOf = (deviation: number) => pool / (deviation * deviation * correlated);
  for (let bin = 0, at = 0; at < count; bin++) {
    const [own, next] = [noise.bins[bin]!, noise.bins[bin + 1] ?? 0];
    const to = Math.min(count, Math.ceil(((bin + 1) * NOISE_BIN) / pool));
    // Where noise jumps at the back of a bin, what lies behind the jump is as noisy as the next bin.
    const jump =
      next > JUMP * own ? Math.max(at, to - Math.ceil((NOISE_BEHIND + 2 * gap) / pool)) : to;
    const bias = biases === null ? 0 : biases[bin]!;
    poolLevels(levels, means, pool, at, to, bias);
    weights.fill(weightOf(own), at, jump);
    if (jump < to) weights.fill(weightOf(next), jump, to);
    at = to;
  }
  weights.fill(0, 0, Math.min(count, Math.ceil((start + blurred) / pool)));
  for (const { at, to } of peaks)
    weights.fill(
      0,
      Math.max(0, Math.floor((at - blurred) / pool)),
      Math.min(count, Math.ceil((to + blurred) / pool)),
    );
  const bend = SLOPES_DB_PER_M * spacingM * pool;
  return new Segments(means, weights, roomOfSums(count), bend * bend);
}

/** Means of so many levels each, with what is to be added to them. Places of the means. */
function poolLevels(
  levels: Float32Array,
  means: Float32Array,
  pool: number,
  from: number,
  to: number,
  bias: number,
): void {
  const share = 1 / pool;
  let next = from * pool;
  for (let at = from; at < to; at++) {
    let level = 0;
    for (const end = next + pool; next < end; next++) level += levels[next]!;
    means[at] = level * share + bias;
  }
}

/**
 * How much more levels vary about the lines through some parts than their weights say; 1 where samples are independent,
 * and known by themselves.
 * @param parts without an event in them, in places of the sums
 * @param pool how many samples a place is
 */
export const scatterOf = (
  segments: Segments,
  { block }: Survey,
  parts: readonly (readonly [from: number, to: number])[],
  pool = 1,
): number => (block === null ? 1 : segments.scatter(parts, Math.ceil(block / pool), SHORT));

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

/** How far a tail is followed, m: ten times as far as the longest that is usual takes for a third (common practice, no source). */
const TAIL_M = 800;
/** Blocks are a part of that at most; and how long they are, in pulses. */
const MOST_BLOCK = 1 / 12;
const LEAST_BLOCK = 8;
const TAIL_SIZES = [2, 6, 12];
/** A block lies above the line behind it by so many deviations where a tail is not over yet. */
const TAIL = 3;

/** What a tail is followed in. */
interface TailRoom {
  /** Where the next event, or the end, begins. */
  stop: number;
  /** Variance of the mean of n samples, times n; that of the rounding of stored levels, and the stairs it makes. */
  variance: number;
  rounding: number;
  stair: number;
  gap: number;
  /** Samples that a tail may reach. */
  reach: number;
}

/**
 * Where the receiver's tail after a reflection is gone: a block of samples lies on the line through those behind it. A
 * tail is exponential: where it is seen no more it is followed on by its own pace.
 * @param from the first sample behind the reflection's dead zone
 */
function afterTail(levels: Float32Array, from: number, room: TailRoom): number {
  let [at, seenDb] = [from, Infinity];
  const { stop, gap, reach } = room;
  const most = Math.max(LEAST_BLOCK, Math.round(reach * MOST_BLOCK));
  for (const size of TAIL_SIZES) {
    const block = Math.min(most, size * Math.max(4, gap));
    const { to, isAtEvent, leastDb } = followTail(levels, at, block, from + reach, room);
    at = to;
    seenDb = Math.min(seenDb, leastDb);
    // Longer blocks would take it for a tail.
    if (isAtEvent) break;
  }
  if (at === from) return from;
  // How many times it fell to a third on the way, by what it began with and what was just seen of it.
  const block = Math.max(LEAST_BLOCK, gap);
  const risenDb = meanOf(levels, from, from + block) - meanOf(levels, at, at + block);
  const times = Math.log((10 ** (risenDb / 5) - 1) / ((seenDb * Math.LN10) / 5));
  const more = times > FOLLOWED ? (FOLLOWED * (at - from)) / times : at - from;
  return Math.min(stop, Math.round(at + more));
}

/** A tail is followed so many times as far as it takes to fall to a third, from where it is seen last. */
const FOLLOWED = 3;

/** Blocks of the line behind a block, and by how many deviations one may fall more than the one before it. */
const LINE_BLOCKS = 6;
const EVENT = 3.5;

/** The end of the last block, of some one behind the other, that lies above the line through the blocks behind it. */
function followTail(
  levels: Float32Array,
  from: number,
  block: number,
  most: number,
  { stop, variance, rounding, stair }: TailRoom,
): { to: number; isAtEvent: boolean; leastDb: number } {
  // The rounding of whole stairs averages out.
  const own = Math.sqrt(variance / block + rounding * Math.min(1, (stair / block / 2) ** 2));
  // Variance of a block and of a line one block before its first: the mean of six, and its slope over 3.5 blocks.
  const bar = TAIL * own * Math.sqrt(1 + 1 / LINE_BLOCKS + 3.5 ** 2 / 17.5);
  // A second difference has six variances of a block.
  const fall = EVENT * own * Math.sqrt(6);
  const means: number[] = [];
  const meanAt = (index: number) =>
    (means[index] ??= meanOf(levels, from + index * block, from + (index + 1) * block));
  for (let index = 0; from + (index + 1 + LINE_BLOCKS) * block < stop; index++) {
    const begin = from + index * block;
    const hasEvent = hasEventBehind(meanAt, index, fall);
    if (begin > most || hasEvent || !isAboveLine(meanAt, index, bar))
      return { to: begin, isAtEvent: hasEvent, leastDb: bar };
  }
  return { to: from, isAtEvent: false, leastDb: bar };
}

/** Whether levels fall more than a block before among those behind one: a tail falls less and less. */
function hasEventBehind(meanAt: (index: number) => number, index: number, bar: number): boolean {
  for (let next = index + 1; next < index + LINE_BLOCKS; next++)
    if (2 * meanAt(next) - meanAt(next - 1) - meanAt(next + 1) > bar) return true;
  return false;
}

/** Whether a block lies above the line through those behind it. */
function isAboveLine(meanAt: (index: number) => number, index: number, bar: number): boolean {
  let [sum, along] = [0, 0];
  for (let next = 1; next <= LINE_BLOCKS; next++) {
    sum += meanAt(index + next);
    along += (next - 3.5) * meanAt(index + next);
  }
  return meanAt(index) - (sum / LINE_BLOCKS - (3.5 * along) / 17.5) > bar;
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
  for (let from = start + 2; from < stop;) {
    const until = Math.min(stop, from + LOOKED_AT);
    const deviation = Math.max(noise.at(from), noise.at(until));
    const bar = Math.max(PEAK.least, PEAK.deviations * deviation * Math.SQRT2);
    const at = firstRise(levels, from, until, bar);
    if (at === until) {
      from = at;
      continue;
    }
    const before = meanOf(levels, Math.max(start, at - 2 - 2 * gap), at - 1);
    let top = levels[at]!;
    let end = at;
    const most = Math.min(stop, at + 6 * gap + 60);
    while (end < most && levels[end]! > before + bar / 2) top = Math.max(top, levels[end++]!);
    // A sample far below its neighbors rises beside itself, and is no reflection.
    const isNarrow = end - at < Math.max(2, gap / 3) && top < before + 2 * bar;
    if (top < before + bar || isNarrow) {
      from = at + 1;
      continue;
    }
    peaks.push({ at: at - 1, to: Math.min(stop, end + 2 * gap + 3), height: top - before });
    from = end + gap + 1;
  }
  return peaks;
}

/** Samples that one bar holds for. */
const LOOKED_AT = 64;

/** The first sample that lies far above the one two before it, or the last. */
function firstRise(levels: Float32Array, from: number, until: number, bar: number): number {
  let at = from;
  while (at < until && levels[at]! - levels[at - 2]! < bar) at++;
  return at;
}

export function meanOf(levels: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let at = from; at < to; at++) sum += levels[at]!;
  return sum / Math.max(1, to - from);
}
