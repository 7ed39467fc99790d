import { NOISE_BIN, type Noise } from './noise.ts';
import { powerOf } from './power.ts';

// The end of a fiber is looked for in the power itself: noise adds to it, the same all along the trace, while its
// logarithm is skew where there is little light. Constants that name no source were tuned on simulated instruments
// (`packages/standin/bench/regimes.ts`).

/** Where a fiber ends, and where it is lost in noise. Places in samples. */
export interface FiberEnd {
  /** Where it ends; null where no end is seen. */
  end: number | null;
  /** Where light ended before that, if only a reflection in the dark says so: it may be an echo. */
  before: { at: number; isReflection: boolean } | null;
  /** Where single samples say nothing of the fiber any more; null where they do up to its end. */
  lost: number | null;
  /** What is lost there at once, dB; null where the fiber only fades, or nothing of it is seen behind. */
  drop: { lossDb: number; sigmaDb: number } | null;
}

/** Noise of single samples from which on power is looked at, dB, and a drop from bin to bin: the fiber is whole before. */
const QUIET = 0.2;
const DROP = 2.5;
/** Samples of the launch beside its pulses. */
const LAUNCH = 100;
/** Bins by which noise is smoothed, to either side, and more. */
const SMOOTHED = 4;
/** A share of the trace at its back, and samples at least, in which there is noise only if there is any. */
const BACK = 0.03;
const LEAST_BACK = 64;
/** Noise whose negative half is stored as none has so much less deviation. */
const CLIPPED = Math.sqrt((1 - 1 / Math.PI) / 2);
/** Where power at the back is so many deviations of its noise, there is still fiber. */
const DARK = 1.5;
/** Where the logarithm has this much noise all along the trace there is no light at all, dB. */
const DARK_DB = 1.5;
/** A mean is light, and a rise is a reflection, by so many deviations; of few independent samples by more: these are skew. */
const SURE = 6;
const SURE_OF_FEW = 9;
const FEW = 16;
/** How many times as large blocks are that are looked through next. */
const LARGER = 4;
/** A single sample of less than so many deviations of noise says nothing of a fiber: half a dB of noise. */
const TOLD = 4;
const TOLD_BLOCK = 64;
const TOLD_PART = 8;
/** A reflection stands out by so much of what lies before it. */
const RISE = 1.2;
/** A drop to dark is seen where what lies before it is so many deviations, by the samples of a pulse. */
const SEEN = 6;
/** What falls by less over a sixth of its length is level. */
const LEVEL = 1.35;
/** How far a receiver's tail reaches, m: fifteen times the longest that is usual (common practice, no source). */
const TAIL_M = 1200;
/** Within so many meters light behind a reflection is rather its tail than a fiber that ends without a reflection. */
const PASSING_M = 80;

/** Power of a part of a trace, with its running sum. */
class Power {
  readonly from: number;
  readonly to: number;
  private readonly sums: Float64Array;

  constructor(levels: Float32Array, from: number) {
    this.from = from;
    this.to = levels.length;
    const sums = (this.sums = new Float64Array(levels.length - from + 1));
    for (let at = from, sum = 0; at < levels.length; at++)
      sums[at - from + 1] = sum += powerOf(levels[at]!);
  }

  /** Of the samples from one up to but not including another, as far as they belong to the part. */
  mean(from: number, to: number): number {
    const first = Math.max(this.from, from);
    const last = Math.min(this.to, to);
    return last <= first
      ? 0
      : (this.sums[last - this.from]! - this.sums[first - this.from]!) / (last - first);
  }
}

/** What is known of a trace before its end is looked for. */
interface Dark {
  power: Power;
  /** Power without light, and the deviation of a single sample of it. */
  mean: number;
  deviation: number;
  /** How many samples know as much as one that is independent. */
  shared: number;
  /** Samples at the back by which this is known. */
  back: number;
  gap: number;
  /** Samples that a receiver's tail may reach, and those within which it is told from fiber by nothing. */
  tail: number;
  passing: number;
}

/**
 * Finds the end of a fiber: the last reflection with nothing but dark, or the receiver's tail, behind it, or the place
 * where light ends at once. Where it only gets less until nothing is left, no end is seen.
 * @param levels dB, one a sample
 * @param shared how many samples know as much as one that is independent
 * @param gap samples that a pulse covers
 * @param spacingM meters between samples
 */
export function findEnd(
  levels: Float32Array,
  noise: Noise,
  shared: number,
  gap: number,
  spacingM: number,
): FiberEnd {
  if (Math.min(...noise.bins) > DARK_DB) return { end: 0, before: null, lost: null, drop: null };
  const launch = 4 * gap + LAUNCH;
  const loud = firstLoud(levels, noise, launch);
  if (loud === null) return { end: null, before: null, lost: null, drop: null };
  const from = Math.max(0, (loud - SMOOTHED) * NOISE_BIN);
  const power = new Power(levels, from);
  // A fiber that ends within the glare of the launch says nothing of its noise.
  const isCalm = from >= launch;
  const quiet = isCalm
    ? ((noise.at(from) * Math.LN10) / 5) * power.mean(from, from + NOISE_BIN)
    : 0;
  const back = Math.max(LEAST_BACK, Math.round(BACK * levels.length));
  const mean = power.mean(power.to - back, power.to);
  let square = 0;
  for (let at = Math.max(from, power.to - back); at < power.to; at++)
    square += (power.mean(at, at + 1) - mean) ** 2;
  const deviation = Math.max(Math.sqrt(square / back), CLIPPED * quiet);
  const tail = Math.round(TAIL_M / spacingM) + 6 * gap;
  const passing = Math.round(PASSING_M / spacingM) + 4 * gap;
  const dark: Dark = { power, mean, deviation, shared, back, gap, tail, passing };
  if (mean > DARK * Math.max(deviation, quiet))
    return {
      end: null,
      before: null,
      lost: lostAt({ ...dark, mean: 0, deviation: quiet }, power.to),
      drop: null,
    };
  const bright = lastLight(dark, power.to);
  if (bright === null) return { end: from === 0 ? 0 : null, before: null, lost: null, drop: null };
  const { end, before, doubtful } = endAt(dark, bright);
  const fades = lostAt(dark, end ?? bright.to);
  const dropped = before?.at ?? doubtful;
  const lost = dropped === null ? fades : Math.min(dropped, fades ?? dropped);
  return {
    end,
    before,
    lost,
    drop: lost === null ? null : dropBehind(dark, lost, end ?? bright.to),
  };
}

/** Samples by which the fiber before a drop is told, and behind it at most. */
const BEFORE = 64;
const BEHIND = 400;

/**
 * Light in a mean of power. Where the negative half of noise is stored as none, noise adds to the mean of dark, and ever
 * less to more light: 0.4 of its deviation, times nearly exp(-1.57 x) for light of x deviations.
 */
function lightOf(seen: number, dark: number, deviation: number): number {
  const whole = deviation / CLIPPED;
  if (dark < 0.2 * whole) return seen - dark;
  let light = seen - dark;
  for (let round = 0; round < 5; round++)
    light = seen - dark * Math.exp((-1.57 * Math.max(0, light)) / whole);
  return light;
}

/** What is lost at once at a place, where light is still seen behind it. */
function dropBehind(
  { power, mean, deviation, shared, gap }: Dark,
  at: number,
  end: number,
): FiberEnd['drop'] {
  const [from, to] = [at + 2 * gap, Math.min(end - gap, at + BEHIND)];
  if (to - from < BEFORE) return null;
  const before = power.mean(at - 2 * gap - BEFORE, at - 2 * gap) - mean;
  const behind = lightOf(power.mean(from, to), mean, deviation);
  const spread = deviation * Math.sqrt(varianceOf(to - from, shared));
  if (behind < SURE * spread) return null;
  return {
    lossDb: 5 * Math.log10(before / behind),
    sigmaDb: ((5 / Math.LN10) * spread) / behind,
  };
}

/** The first bin with much noise, or far below the one before it. */
function firstLoud(levels: Float32Array, { bins }: Noise, launch: number): number | null {
  for (let bin = 0; bin < bins.length; bin++) {
    if (bins[bin]! > QUIET) return bin;
    const at = bin * NOISE_BIN + (NOISE_BIN >> 1);
    if (
      at - NOISE_BIN > launch &&
      at < levels.length &&
      levels[at]! < levels[at - NOISE_BIN]! - DROP
    )
      return bin;
  }
  return null;
}

/** Variance of the mean of so many samples, in variances of one. */
const varianceOf = (count: number, shared: number): number => Math.min(1, shared / count);

const sureOf = (count: number, shared: number): number =>
  count < FEW * shared ? SURE_OF_FEW : SURE;

/** A block of samples that has light. */
interface Block {
  from: number;
  to: number;
}

/** The last light before a place: of short blocks, and of longer ones what lies beyond them. */
function lastLight(
  { power, mean, deviation, shared, gap, back }: Dark,
  until: number,
): Block | null {
  let last: Block | null = null;
  const room = until - power.from;
  const known = varianceOf(back, shared);
  for (let size = Math.max(1, gap >> 1); size === 1 || size <= room / 4; size *= LARGER) {
    const spread = deviation * Math.sqrt(varianceOf(size, shared) + known);
    const bar = mean + sureOf(size, shared) * spread;
    const first: number = last ? last.to : power.from;
    for (let to = until; to - size >= first; to -= size)
      if (power.mean(to - size, to) > bar) {
        last = { from: to - size, to };
        break;
      }
  }
  return last;
}

interface EndBefore extends Pick<FiberEnd, 'end' | 'before'> {
  isReflection: boolean;
  /** Where light is lost at once, and may go on; null where that is not so. */
  doubtful: number | null;
}

/** The end by the last light, and where light had ended before it. */
function endAt(dark: Dark, bright: Block): EndBefore {
  const { power, gap } = dark;
  const peak = lastPeak(dark, bright.to);
  if (peak === null || isFiberBehind(dark, peak, bright))
    return { ...dropEnd(dark, bright), before: null, isReflection: false };
  const calm = peak.at - gap;
  const alone = { end: peak.at, before: null, isReflection: true, doubtful: null };
  if (power.mean(calm - 8 * gap, calm) - dark.mean > dark.deviation) return alone;
  const inner = lastLight(dark, calm);
  const isDark = inner !== null && calm - inner.to > 4 * gap;
  if (!isDark) return alone;
  const { end: at, isReflection } = endAt(dark, inner);
  return { ...alone, before: at === null ? null : { at, isReflection } };
}

/** Light of so many deviations behind a drop leaves in doubt whether the fiber ends there. */
const DOUBT = 4;

/** Where light ends at once; no end where it only gets less, and a doubtful one where a little of it may go on. */
function dropEnd(dark: Dark, bright: Block): Pick<EndBefore, 'end' | 'doubtful'> {
  const at = dropAt(dark, bright);
  if (at === null) return { end: null, doubtful: null };
  const { power, mean, deviation, shared, gap, back } = dark;
  const from = at + 4 * gap;
  const known = varianceOf(back, shared);
  const isDoubtful = (size: number) =>
    power.mean(from, from + size) - mean >
    DOUBT * deviation * Math.sqrt(varianceOf(size, shared) + known);
  const room = power.to - back - from;
  return room > back && [room, room >> 1, room >> 2].some(isDoubtful)
    ? { end: null, doubtful: at }
    : { end: at, doubtful: null };
}

/** A rise of power, and what lay before it. */
interface Rise {
  at: number;
  before: number;
}

/** The last reflection up to a place. */
function lastPeak({ power, deviation, shared, gap }: Dark, until: number): Rise | null {
  const size = Math.max(1, gap >> 1);
  const width = Math.max(4, 2 * gap);
  const bar =
    sureOf(size, shared) *
    deviation *
    Math.sqrt(varianceOf(size, shared) + varianceOf(width, shared));
  for (let from = until - size; from - size - width >= power.from; from -= Math.max(1, size >> 1)) {
    const before = power.mean(from - size - width, from - size);
    const own = power.mean(from, from + size);
    if (own - before < bar || own < RISE * before) continue;
    let top = own;
    for (let at = from - size; at < from + 2 * size; at++)
      top = Math.max(top, power.mean(at, at + 1));
    const middle = (before + top) / 2;
    let at = from - size - 1;
    while (power.mean(at, at + 1) < middle) at++;
    // Where a receiver is saturated it comes back late, and its top is long.
    while (at > power.from && power.mean(at - 1, at) > middle) at--;
    return { at, before: power.mean(at - 1 - width, at - 1) };
  }
  return null;
}

/** Whether there is fiber behind a reflection, and not only the receiver's way back from it. */
function isFiberBehind(
  { power, mean, deviation, gap, tail, passing }: Dark,
  peak: Rise,
  bright: Block,
): boolean {
  const from = peak.at + 4 * gap;
  const length = bright.to - from;
  if (length < passing) return false;
  if (length > tail) return true;
  const third = Math.ceil(length / 3);
  const first = power.mean(from, from + third) - mean;
  const last = power.mean(bright.to - third, bright.to) - mean;
  if (first < 2 * last) return true;
  // A tail that ends on a fiber: it is nearly as bright as the fiber before, and falls no more.
  const half = third >> 1;
  const [early, late] = [
    power.mean(bright.to - third, bright.to - half) - mean,
    power.mean(bright.to - half, bright.to) - mean,
  ];
  const before = peak.before - mean;
  return last > 0.3 * before && before > 10 * deviation && early < LEVEL * late;
}

/** Where light ends at once; null where it only gets less and less. */
function dropAt({ power, mean, deviation, shared, gap }: Dark, bright: Block): number | null {
  const size = bright.to - bright.from;
  const level = power.mean(bright.from - 8 * gap - 32, bright.from) - mean;
  const pulse = Math.max(2, gap);
  const least = Math.max(1, SEEN * Math.sqrt(varianceOf(pulse, shared)));
  if (level < least * deviation) return null;
  // The place that parts bright from dark best.
  const middle = mean + level / 2;
  let [best, most, sum] = [bright.from, -Infinity, 0];
  const last = Math.min(power.to, bright.to + size + 2 * gap);
  for (let at = Math.max(power.from, bright.from - size - 2 * gap); at < last; at++) {
    sum += power.mean(at, at + 1) - middle;
    if (sum > most) [best, most] = [at + 1, sum];
  }
  // The pulse leaves the fiber over its whole length: the end is where it begins to.
  return best - (gap >> 1);
}

/** Where a fiber is lost in noise before its end. */
function lostAt({ power, mean, deviation, gap }: Dark, end: number): number | null {
  const isTold = (from: number, to: number) => power.mean(from, to) - mean >= TOLD * deviation;
  let at = power.from;
  while (at + TOLD_BLOCK < end - gap && isTold(at, at + TOLD_BLOCK)) at += TOLD_BLOCK;
  if (at + TOLD_BLOCK >= end - gap) return null;
  // Light may have ended within the block before.
  let near = Math.max(power.from, at - TOLD_BLOCK);
  while (near < at && isTold(near, near + TOLD_PART)) near += TOLD_PART;
  return near;
}
