import { NOISE_BIN, type Noise } from './noise.ts';
import { type Segments, levelAt, varianceAt } from './segments.ts';
import { PEAK, type Peak, type Survey, meanOf, pooled, segmentsOf, surveyOf } from './survey.ts';

export type EventKind = 'splice' | 'reflection' | 'end';

/** A place of a trace where its level changes. Places in samples. */
export interface FoundEvent {
  at: number;
  kind: EventKind;
  /** Loss in dB, a gain below zero, and its standard deviation; null at the end of the fiber. */
  loss: number | null;
  sigma: number | null;
  /** Height of the peak over the level before it, dB; null without one. */
  peak: number | null;
  /** How far its place may be off, one standard deviation. */
  spread: number;
}

export interface FoundEvents {
  joints: FoundEvent[];
  /** Where the fiber ends; null where no end is seen. */
  end: number | null;
  /** Where it is lost in noise before that; null where it is not. */
  faded: number | null;
  /** Standard deviation of single samples near the start, dB. */
  noise: number;
}

/**
 * How much less two lines must leave over than one for a step to be one, beyond what the samples of the
 * gap leave over: with so many places to choose from, noise alone gets there in less than one trace of a
 * hundred.
 */
const SURE = 20;
/** How much less three lines must leave over than two for two steps close together to be two. */
const TWO = 50;
/** A pulse covers so many places at least: finer ones tell a step no better and cost as much each. */
const FINE = 5;
/** A joint stays where its own step is so many of its deviations. */
const OWN = 4.2;
/**
 * Finds the joints of a trace from its samples alone: noise as it grows, the end, reflections with their
 * dead zones, then steps between straight segments. A stretch is split where two lines leave over the
 * least, again and again; then each joint is measured by weighted least squares over the whole stretch
 * on either side, both lines taken to the joint.
 * @param levels dB, one a sample
 * @param pulse samples that a pulse covers
 * @param survey what is known of the trace already
 */
export function findEvents(
  levels: Float32Array,
  pulse: number,
  survey: Survey = surveyOf(levels, pulse),
): FoundEvents {
  const { noise, end, faded } = survey;
  const pool = Math.min(4, Math.max(1, Math.floor(survey.gap / FINE)));
  const { gap, peaks, start, stop } = pool === 1 ? survey : pooled(survey, pool);
  const segments = segmentsOf(levels, survey, pool);
  const steps: number[] = [];
  const edges = [start, ...peaks.map(({ at }) => at), stop];
  for (let index = 1; index < edges.length; index++) {
    const from = index === 1 ? start : Math.min(stop, peaks[index - 2]!.to);
    split(segments, from, edges[index]!, gap, steps);
  }
  // A line of a few samples, right where all is lost in noise, makes steps of anything.
  const sure = faded === null ? stop : stop - (2 * NOISE_BIN) / pool;
  const joints = measured(segments, steps, peaks, gap, start, stop)
    .filter(({ at, peak }) => at < sure || peak !== null)
    .map((joint) => ({ ...joint, at: joint.at * pool, spread: joint.spread * pool }));
  if (end !== null) joints.push(endJoint(levels, noise, end, survey.gap));
  return { joints, end, faded, noise: noise.at(survey.start) };
}

/** Samples a line takes at least: steps closer than that are not told apart. */
const roomOf = (gap: number): number => 2 * gap + 8;

/** Splits a stretch where it has a step, and both parts again. */
function split(segments: Segments, from: number, to: number, gap: number, steps: number[]): void {
  const room = roomOf(gap);
  if (to - from < 2 * room + gap) return;
  const { at, gain } = searchSplit(segments, from, to, gap, room);
  if (gain < SURE + gap) return;
  steps.push(at);
  split(segments, from, at, gap, steps);
  split(segments, at + gap, to, gap, steps);
}

/** Where two lines through a stretch leave over the least: looked for coarsely, then sample by sample. */
function searchSplit(
  segments: Segments,
  from: number,
  to: number,
  gap: number,
  room: number,
): { at: number; gain: number } {
  const whole = segments.leftOver(from, to);
  const [first, last] = [from + room, to - room - gap];
  // Looks and closer looks are fewest when both are about as many.
  const every = Math.max(1, Math.round(Math.sqrt((to - from) / 2)));
  const { at } = segments.bestSplit(from, to, gap, whole, first, last, every);
  const near: [number, number] = [Math.max(first, at - every), Math.min(last, at + every)];
  return segments.bestSplit(from, to, gap, whole, ...near, 1);
}

/** How often steps are moved to their places, for each moves its neighbours. */
const ROUNDS = 3;

interface Place {
  at: number;
  to: number;
  peak: number | null;
}

/** Joints with their losses; those that are no step once their neighbours are known are left out. */
function measured(
  segments: Segments,
  steps: readonly number[],
  peaks: readonly Peak[],
  gap: number,
  start: number,
  stop: number,
): FoundEvent[] {
  let places: Place[] = [
    ...apart(steps, gap).map((at) => ({ at, to: at + gap, peak: null })),
    ...peaks.map(({ at, to, height }) => ({ at, to, peak: height })),
  ].sort((a, b) => a.at - b.at);
  const measure = () =>
    places.map((place, index) =>
      jointAt(
        segments,
        place,
        index === 0 ? start : places[index - 1]!.to,
        index + 1 < places.length ? places[index + 1]!.at : stop,
      ),
    );
  const settle = () => (places = settled(segments, places, gap, start, stop));
  const dropWeak = () => {
    for (let weak = weakestOf(measure()); weak >= 0; weak = weakestOf(measure()))
      places.splice(weak, 1);
  };
  const near = gap + roomOf(gap);
  for (let round = 0, found = true; found && round < ROUNDS; round++) {
    const before = places.length;
    if (round > 0) places = withMissed(segments, places, gap, start, stop);
    // Where nothing was missed, all lie where they belong after this round.
    found = round === 0 || places.length > before;
    settle();
    places = merged(segments, places, gap, start, stop, 2 * near);
    dropWeak();
    settle();
  }
  places = merged(segments, places, gap, start, stop, 16 * near);
  settle();
  dropWeak();
  return measure().map((joint, index) => {
    const from = index === 0 ? start : places[index - 1]!.to;
    const to = index + 1 < places.length ? places[index + 1]!.at : stop;
    return joint.peak === null ? spreadOut(segments, joint, from, to, gap) : joint;
  });
}

/** Places on either side at which a joint is tried, and how much less likely the last may be. */
const TRIED = 48;
const UNLIKELY = 14;

/**
 * The loss of a joint whose place is not known to the sample: the mean over all places it may lie at, each
 * weighed by how likely it is. The best place alone would flatter the step, for noise helped to choose it.
 */
function spreadOut(
  segments: Segments,
  joint: FoundEvent,
  from: number,
  to: number,
  gap: number,
): FoundEvent {
  const whole = segments.leftOver(from, to);
  const room = Math.min(roomOf(gap), Math.floor((to - from) / 4));
  const top = segments.gain(from, joint.at, gap, to, whole);
  const sums = { weight: 0, at: 0, apart: 0, loss: 0, square: 0, variance: 0 };
  const look = (at: number, width: number): boolean => {
    const gain = segments.gain(from, at, gap, to, whole);
    const likely = Math.exp(Math.min(8, (gain - top) / 2));
    const own = jointAt(segments, { at, to: at + gap, peak: null }, from, to);
    const weight = likely * width;
    sums.weight += weight;
    sums.at += weight * at;
    sums.apart += weight * (at - joint.at) ** 2;
    sums.loss += weight * own.loss!;
    sums.square += weight * own.loss! ** 2;
    sums.variance += weight * own.sigma! ** 2;
    return top - gain < UNLIKELY;
  };
  look(joint.at, 1);
  for (const side of [-1, 1])
    for (let tried = 1, off = 1; tried <= TRIED; tried++) {
      // Far from the best place they are looked at more and more sparsely.
      const width = 1 + (tried >> 3);
      const at = joint.at + side * off;
      if (at < from + room || at > to - gap - room || !look(at, width)) break;
      off += width;
    }
  const loss = sums.loss / sums.weight;
  const variance = sums.variance / sums.weight + Math.max(0, sums.square / sums.weight - loss ** 2);
  const at = sums.at / sums.weight;
  const spread = Math.sqrt(Math.max(0, sums.apart / sums.weight - (at - joint.at) ** 2));
  return { ...joint, at: Math.round(at), loss, sigma: Math.sqrt(variance), spread };
}

/** Looks once more between the joints, now that they lie where they belong: a weak one may have hidden. */
function withMissed(
  segments: Segments,
  places: readonly Place[],
  gap: number,
  start: number,
  stop: number,
): Place[] {
  const more: number[] = [];
  for (let index = 0; index <= places.length; index++) {
    const from = index === 0 ? start : places[index - 1]!.to;
    split(segments, from, index < places.length ? places[index]!.at : stop, gap, more);
  }
  if (more.length === 0) return [...places];
  const fresh = more.map((at) => ({ at, to: at + gap, peak: null }));
  return [...places, ...fresh].sort((a, b) => a.at - b.at);
}

/** Of steps that crowd together the first found, for it stood out most. */
function apart(steps: readonly number[], gap: number): number[] {
  const kept: number[] = [];
  for (const at of steps)
    if (kept.every((other) => Math.abs(other - at) > gap + roomOf(gap))) kept.push(at);
  return kept;
}

/**
 * Two steps close together that one explains nearly as well are one: the first split of a long stretch
 * may fall beside its joint, and the next one on its other side.
 */
function merged(
  segments: Segments,
  places: readonly Place[],
  gap: number,
  start: number,
  stop: number,
  within: number,
): Place[] {
  const list = [...places];
  for (let index = 0; index + 1 < list.length; index++) {
    const [one, two] = [list[index]!, list[index + 1]!];
    if (one.peak !== null || two.peak !== null) continue;
    if (two.at - one.at > within) continue;
    const from = index === 0 ? start : list[index - 1]!.to;
    const to = index + 2 < list.length ? list[index + 2]!.at : stop;
    const whole = segments.leftOver(from, to);
    const [first, last] = [Math.max(from + 8, one.at - gap), Math.min(to - gap - 8, two.at + gap)];
    const every = Math.max(1, Math.round(Math.sqrt((last - first) / 2)));
    const near = segments.bestSplit(from, to, gap, whole, first, last, every).at;
    const [low, high] = [Math.max(first, near - every), Math.min(last, near + every)];
    const single = segments.bestSplit(from, to, gap, whole, low, high, 1);
    const both =
      whole -
      segments.leftOver(from, one.at) -
      segments.leftOver(one.to, two.at) -
      segments.leftOver(two.to, to);
    if (both - single.gain > TWO + gap) continue;
    list.splice(index, 2, { at: single.at, to: single.at + gap, peak: null });
  }
  return list;
}

/** The joint that is least of a step, if it is none; -1 where all stand. A reflection stands by its peak. */
function weakestOf(joints: readonly FoundEvent[]): number {
  let weakest = -1;
  joints.forEach((joint, index) => {
    if (joint.peak !== null || strength(joint) >= OWN) return;
    if (weakest < 0 || strength(joint) < strength(joints[weakest]!)) weakest = index;
  });
  return weakest;
}

const strength = ({ loss, sigma }: FoundEvent): number => Math.abs(loss!) / sigma!;

/** Moves each step to where it lies best between its neighbours, now that all are known. */
function settled(
  segments: Segments,
  places: readonly Place[],
  gap: number,
  start: number,
  stop: number,
): Place[] {
  const list = [...places];
  list.forEach((place, index) => {
    if (place.peak !== null) return;
    const from = index === 0 ? start : list[index - 1]!.to;
    const to = index + 1 < list.length ? list[index + 1]!.at : stop;
    const whole = segments.leftOver(from, to);
    // Half way to its neighbours at most, so that two steps never fall into one place.
    const room = roomOf(gap);
    const first = Math.max(from + room, Math.ceil((from + place.at) / 2));
    const last = Math.min(to - gap - room, Math.floor((place.at + to) / 2));
    if (last <= first) return;
    const every = Math.max(1, Math.floor((last - first) / 64));
    const coarse = segments.bestSplit(from, to, gap, whole, first, last, every);
    const near = [Math.max(first, coarse.at - every), Math.min(last, coarse.at + every)] as const;
    const { at } = segments.bestSplit(from, to, gap, whole, near[0], near[1], 1);
    list[index] = { ...place, at, to: at + gap };
  });
  return list;
}

function jointAt(segments: Segments, place: Place, from: number, to: number): FoundEvent {
  const { at, peak } = place;
  const kind = peak === null ? 'splice' : 'reflection';
  if (at - from < 3 || to - place.to < 3)
    return { at, kind, loss: 0, sigma: Infinity, peak, spread: 0 };
  const before = segments.line(from, at);
  const after = segments.line(place.to, to);
  // The step is the same wherever both lines are read, but for their slopes: read it at the joint.
  const loss = levelAt(before, at) - levelAt(after, at);
  const sigma = Math.sqrt(varianceAt(before, at) + varianceAt(after, at));
  return { at, kind, loss, sigma, peak, spread: 0 };
}

function endJoint(levels: Float32Array, noise: Noise, end: number, gap: number): FoundEvent {
  const before = meanOf(levels, Math.max(0, end - 4 * gap - 20), Math.max(1, end - 1));
  let top = -Infinity;
  for (let at = end; at < Math.min(levels.length, end + gap + 2); at++)
    top = Math.max(top, levels[at]!);
  const rise = top - before;
  const peak =
    rise > Math.max(PEAK.least, PEAK.deviations * noise.at(end - 5 * NOISE_BIN)) ? rise : null;
  return { at: end, kind: 'end', loss: null, sigma: null, peak, spread: 0 };
}
