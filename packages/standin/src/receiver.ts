import { type Light, START } from './light.ts';
import type { Random } from './random.ts';

/** What an instrument makes of the light: its receiver, its smoothing and how it stores levels. */
export interface Receiver {
  /** What the noise of a sample shares with that of the next one: the bandwidth is less than the sampling rate. */
  correlation: number;
  /** Samples that a moving mean of the instrument takes together; 1 where it does not smooth. */
  smoothing: number;
  /** A slow way back from reflections: m after which a third is left, and how much of the height it begins with. */
  tail: { meters: number; part: number } | null;
  /** Levels are stored in steps of so many dB. */
  storedStepDb: number;
  /** Light above this level is not told apart, dB over the backscatter of the start. */
  saturationDb: number;
}

/** A receiver as textbooks have it: nothing but white noise. */
export const IDEAL: Receiver = {
  correlation: 0,
  smoothing: 1,
  tail: null,
  storedStepDb: 0.001,
  saturationDb: START,
};

/**
 * An instrument as they are met, drawn: few are ideal, and no two alike. The ranges are common practice, no source.
 */
export function drawReceiver(random: Random): Receiver {
  const { uniform } = random;
  const between = (low: number, high: number) => low + (high - low) * uniform();
  const smooths = uniform() < 0.25;
  return {
    correlation: smooths ? 0 : uniform() < 0.2 ? 0 : between(0.3, 0.9),
    smoothing: smooths ? 2 + Math.floor(7 * uniform()) : 1,
    tail: uniform() < 0.3 ? null : { meters: between(10, 40), part: between(0.01, 0.06) },
    storedStepDb: uniform() < 0.8 ? 0.001 : 0.01,
    saturationDb: between(8, START),
  };
}

/** Levels below the strongest that is stored, thousandths of a dB: the weakest of them. */
export const LOWEST_DB = 60;

/**
 * Levels as they are stored, thousandths of a dB below the strongest.
 * @param light is changed
 * @param deviation of the noise of a sample after averaging, in the same measure
 * @param spacing meters between samples
 */
export function receive(
  { all: light, reflected }: Light,
  receiver: Receiver,
  deviation: number,
  spacing: number,
  random: Random,
): Uint16Array {
  const { correlation, smoothing, tail, storedStepDb, saturationDb } = receiver;
  if (tail) addTail(light, reflected, tail, spacing);
  const most = 10 ** (saturationDb / 5);
  const innovation = Math.sqrt(1 - correlation ** 2);
  let noise = random.normal();
  const seen = new Float64Array(light.length);
  for (let at = 0; at < light.length; at++) {
    if (at > 0) noise = correlation * noise + innovation * random.normal();
    seen[at] = Math.min(most, light[at]!) + deviation * noise;
  }
  if (smoothing > 1) movingMean(seen, smoothing);
  const step = Math.round(1000 * storedStepDb);
  const stored = new Uint16Array(light.length);
  for (let at = 0; at < light.length; at++) {
    const level = seen[at]! <= 0 ? -LOWEST_DB : 5 * Math.log10(seen[at]!);
    const below = 1000 * Math.min(LOWEST_DB, Math.max(0, START - level));
    stored[at] = step * Math.round(below / step);
  }
  return stored;
}

/** The receiver goes on with a part of the reflection that it has just seen. */
function addTail(
  light: Float64Array,
  reflected: Float64Array,
  { meters, part }: { meters: number; part: number },
  spacing: number,
): void {
  const keeps = Math.exp(-spacing / meters);
  let rest = 0;
  for (let at = 0; at < light.length; at++) {
    rest *= keeps;
    light[at]! += rest;
    rest = Math.max(rest, part * reflected[at]!);
  }
}

/** Each sample becomes the mean of itself and those around it. */
function movingMean(levels: Float64Array, count: number): void {
  const before = Math.floor((count - 1) / 2);
  const sums = new Float64Array(levels.length + 1);
  for (let at = 0; at < levels.length; at++) sums[at + 1] = sums[at]! + levels[at]!;
  for (let at = 0; at < levels.length; at++) {
    const from = Math.max(0, at - before);
    const to = Math.min(levels.length, from + count);
    levels[at] = (sums[to]! - sums[from]!) / (to - from);
  }
}
