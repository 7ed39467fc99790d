import { slopeOf } from './correlation.ts';
import type { Noise } from './noise.ts';

/** So many neighbors are stored alike where levels go down in stairs, with little noise to part them. */
const ALIKE = 0.6;
/** A part of the trace at its front, where there is least noise, by which stairs are told. */
const FRONT = 1 / 8;
/** Samples between two looks, and the distance by which the slope is told. */
const EVERY = 4;
const DISTANCE = 512;
/** Longer stairs than such a part of the trace would hide what lies between events. */
const LONGEST = 1 / 40;

/**
 * Samples of a stair, odd, where levels are stored so coarsely that a straight fiber is a staircase; 1 where it is none.
 * The mean over a whole stair is the fiber again.
 * @param from the first sample that counts, and `to` the one after the last
 */
export function stairOf(levels: Float32Array, noise: Noise, from: number, to: number): number {
  const front = from + Math.floor((to - from) * FRONT);
  if (to - from < 4 * DISTANCE) return 1;
  let [alike, looks] = [0, 0];
  for (let at = from; at < front; at += EVERY, looks++) if (levels[at] === levels[at + 1]) alike++;
  if (alike < ALIKE * looks) return 1;
  const slope = Math.abs(slopeOf(levels, from, to, DISTANCE, noise.storedStep));
  const length = Math.min(noise.storedStep / Math.max(slope, 1e-9), (to - from) * LONGEST);
  return 2 * Math.floor(length / 2) + 1;
}

/** A part of a trace that is no line: a reflection with what follows it. Places in samples. */
interface Mask {
  at: number;
  to: number;
}

/** Means over stairs, shorter where a stair would reach into a mask. */
export function overStairs(
  levels: Float32Array,
  stair: number,
  start: number,
  masks: readonly Mask[],
  stop: number,
): Float32Array {
  const smooth = levels.slice();
  const sums = new Float64Array(levels.length + 1);
  for (let at = 0; at < levels.length; at++) sums[at + 1] = sums[at]! + levels[at]!;
  const edges = [start, ...masks.flatMap(({ at, to }) => [at, to]), stop];
  for (let part = 0; part < edges.length; part += 2) {
    const [from, to] = [edges[part]!, edges[part + 1]!];
    for (let at = from; at < to; at++) {
      const half = Math.min((stair - 1) / 2, at - from, to - 1 - at);
      smooth[at] = (sums[at + half + 1]! - sums[at - half]!) / (2 * half + 1);
    }
  }
  return smooth;
}
