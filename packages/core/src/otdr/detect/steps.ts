import type { FoundEvent } from './foundEvent.ts';
import type { Segments } from './segments.ts';
import type { Peak } from './survey.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/**
 * How much less two lines must leave over than one for a step to be one, beyond what the samples of the gap leave over:
 * so much, and twice the logarithm of how many lines as short as the shorter one a trace has room for. There are as many
 * places to choose from, and noise alone gets there in less than one trace of a hundred.
 */
const SURE = 11;
/** How much less three lines must leave over than two for two steps close together to be two. */
const TWO = 23;
/** An event stays that is so nearly sure, and whose own step is so many of its deviations. */
const NEARLY = 0.98;
const OWN = 3.5;

/** How wide a step is. */
export interface Width {
  /** Samples that it is spread over. */
  gap: number;
  /** What these leave over by chance, as a weighted sum of squares. */
  chance: number;
}

/** Samples a line takes at least: steps closer than that are not told apart. */
const roomOf = (gap: number): number => 2 * gap + 8;

/** Splits a segment where it has a step, and both parts again. */
function split(segments: Segments, from: number, to: number, width: Width, steps: number[]): void {
  const { gap } = width;
  const room = roomOf(gap);
  if (to - from < 2 * room + gap) return;
  const { at } = searchSplit(segments, from, to, gap, room);
  if (segments.stepGain(from, at, gap, to) < sureOf(segments, from, at, at + gap, to)) return;
  steps.push(at);
  split(segments, from, at, width, steps);
  split(segments, at + gap, to, width, steps);
}

/** The gain from which on a step is one. */
function sureOf(segments: Segments, from: number, at: number, behind: number, to: number): number {
  const side = Math.max(1, Math.min(at - from, to - behind));
  return SURE + 2 * Math.log(segments.length / side);
}

/** Where two lines through a segment leave over the least: looked for coarsely, then sample by sample. */
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
  // Near both ends chance has more to choose from: what stands out there may stand out less than what lies between.
  const edge = Math.ceil((to - from) * EDGE);
  const edges = [first, Math.max(first, from + edge), Math.min(last, to - gap - edge), last + 1];
  let [best, most] = [first, -Infinity];
  for (let part = 0; part < 3; part++) {
    const [low, high] = [edges[part]!, edges[part + 1]! - 1];
    const { at, gain } = segments.bestSplit(from, to, gap, whole, low, high, every);
    const over = gain - sureOf(segments, from, at, at + gap, to);
    if (over > most) [best, most] = [at, over];
  }
  const near: [number, number] = [Math.max(first, best - every), Math.min(last, best + every)];
  return segments.bestSplit(from, to, gap, whole, ...near, 1);
}

/** The part of a segment at either end in which steps are looked for apart. */
const EDGE = 0.06;

/** How often steps are moved to their places, for each moves its neighbors. */
const ROUNDS = 3;

interface Place {
  at: number;
  to: number;
  peak: number | null;
  /** The neighbors between which it was moved to where it lies best. */
  between?: readonly [from: number, to: number];
}

/**
 * Reflections, and steps between straight segments, with their losses. A segment is split where two lines leave over the
 * least, again and again; then all are moved to where they lie best between their neighbors.
 * @param peaks reflections in order along the trace
 * @param start the first sample that counts, and `stop` the one after the last
 */
export function findSteps(
  segments: Segments,
  peaks: readonly Peak[],
  width: Width,
  start: number,
  stop: number,
): FoundEvent[] {
  const steps: number[] = [];
  const edges = [start, ...peaks.map(({ at }) => at), stop];
  for (let index = 1; index < edges.length; index++) {
    const from = index === 1 ? start : Math.min(stop, peaks[index - 2]!.to);
    split(segments, from, edges[index]!, width, steps);
  }
  return measured(segments, steps, peaks, width, start, stop);
}

/** Events with their losses; those that are no step once their neighbors are known are left out. */
function measured(
  segments: Segments,
  steps: readonly number[],
  peaks: readonly Peak[],
  width: Width,
  start: number,
  stop: number,
): FoundEvent[] {
  const { gap } = width;
  let places: Place[] = [
    ...apart(steps, gap).map((at) => ({ at, to: at + gap, peak: null })),
    ...peaks.map(({ at, to, height }) => ({ at, to, peak: height })),
  ].sort((a, b) => a.at - b.at);
  const measure = () =>
    places.map((place, index) =>
      eventAt(
        segments,
        place,
        gap,
        index === 0 ? start : places[index - 1]!.to,
        index + 1 < places.length ? places[index + 1]!.at : stop,
      ),
    );
  const settle = () => (places = settled(segments, places, gap, start, stop));
  /** The event that is least of a step, if it is none; -1 where all stand. A reflection stands by its peak. */
  const weakest = () => {
    let [least, weak] = [1, -1];
    places.forEach((place, index) => {
      if (place.peak !== null) return;
      const from = index === 0 ? start : places[index - 1]!.to;
      const share = certainty(segments, place, from, places[index + 1]?.at ?? stop);
      if (share < least) [least, weak] = [share, index];
    });
    return weak;
  };
  const dropWeak = () => {
    for (let weak = weakest(); weak >= 0; weak = weakest()) places.splice(weak, 1);
  };
  const near = gap + roomOf(gap);
  for (let round = 0, found = true; found && round < ROUNDS; round++) {
    const before = places.length;
    if (round > 0) places = withMissed(segments, places, width, start, stop);
    // Where nothing was missed, all lie where they belong after this round.
    found = round === 0 || places.length > before;
    settle();
    places = merged(segments, places, width, start, stop, 2 * near);
    dropWeak();
    settle();
  }
  places = merged(segments, places, width, start, stop, 16 * near);
  settle();
  dropWeak();
  return measure().map((event, index) => {
    const from = index === 0 ? start : places[index - 1]!.to;
    const to = index + 1 < places.length ? places[index + 1]!.at : stop;
    return event.peakDb === null ? spreadOut(segments, event, from, to, gap) : event;
  });
}

/** How sure it is that a step is one, in what is needed: below 1 it is none. */
function certainty(
  segments: Segments,
  { at, to: behind }: Place,
  from: number,
  to: number,
): number {
  if (at - from < 3 || to - behind < 3) return 0;
  const sure = NEARLY * sureOf(segments, from, at, behind, to);
  segments.readStep(from, at, behind, to);
  const { loss, variance } = segments.step;
  const own = (loss * loss) / (variance * OWN * OWN);
  return Math.min(own, segments.stepGain(from, at, behind - at, to) / sure);
}

/** Places on either side at which an event is tried, and how much less likely the last may be. */
const TRIED = 48;
const UNLIKELY = 14;

/**
 * The loss of an event whose place is not known to the sample: the mean over all places it may lie at, each
 * weighed by how likely it is. The best place alone would flatter the step, for noise helped to choose it.
 */
function spreadOut(
  segments: Segments,
  event: FoundEvent,
  from: number,
  to: number,
  gap: number,
): FoundEvent {
  const whole = segments.leftOver(from, to);
  const room = Math.min(roomOf(gap), Math.floor((to - from) / 4));
  const top = segments.gain(from, event.sampleIndex, gap, to, whole);
  const sums = { weight: 0, at: 0, apart: 0, loss: 0, square: 0, variance: 0 };
  const look = (at: number, width: number): boolean => {
    const gain = segments.gain(from, at, gap, to, whole);
    const likely = Math.exp(Math.min(8, (gain - top) / 2));
    segments.readStep(from, at, at + gap, to);
    const own = segments.step;
    const weight = likely * width;
    sums.weight += weight;
    sums.at += weight * at;
    sums.apart += weight * (at - event.sampleIndex) ** 2;
    sums.loss += weight * own.loss;
    sums.square += weight * own.loss ** 2;
    sums.variance += weight * own.variance;
    return top - gain < UNLIKELY;
  };
  look(event.sampleIndex, 1);
  for (const side of [-1, 1])
    for (let tried = 1, off = 1; tried <= TRIED; tried++) {
      // Far from the best place they are looked at more and more sparsely.
      const width = 1 + (tried >> 3);
      const at = event.sampleIndex + side * off;
      if (at < from + room || at > to - gap - room || !look(at, width)) break;
      off += width;
    }
  const loss = sums.loss / sums.weight;
  const variance = sums.variance / sums.weight + Math.max(0, sums.square / sums.weight - loss ** 2);
  const at = sums.at / sums.weight;
  const spread = Math.sqrt(Math.max(0, sums.apart / sums.weight - (at - event.sampleIndex) ** 2));
  return {
    ...event,
    sampleIndex: Math.round(at),
    lossDb: loss,
    sigmaDb: Math.sqrt(variance),
    spreadSamples: spread,
  };
}

/** Looks once more between the events, now that they lie where they belong: a weak one may have hidden. */
function withMissed(
  segments: Segments,
  places: readonly Place[],
  width: Width,
  start: number,
  stop: number,
): Place[] {
  const more: number[] = [];
  for (let index = 0; index <= places.length; index++) {
    const from = index === 0 ? start : places[index - 1]!.to;
    split(segments, from, index < places.length ? places[index]!.at : stop, width, more);
  }
  if (more.length === 0) return [...places];
  const fresh = more.map((at) => ({ at, to: at + width.gap, peak: null }));
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
 * Two steps close together that one explains nearly as well are one: the first split of a long segment
 * may fall beside its event, and the next one on its other side.
 */
function merged(
  segments: Segments,
  places: readonly Place[],
  { gap, chance }: Width,
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
    if (both - single.gain > TWO + chance) continue;
    list.splice(index, 2, { at: single.at, to: single.at + gap, peak: null });
  }
  return list;
}

/** Moves each step to where it lies best between its neighbors, now that all are known. */
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
    // Half way to its neighbors at most, so that two steps never fall into one place.
    const room = roomOf(gap);
    const first = Math.max(from + room, Math.ceil((from + place.at) / 2));
    const last = Math.min(to - gap - room, Math.floor((place.at + to) / 2));
    if (last <= first) return;
    if (place.between?.[0] === from && place.between[1] === to) return;
    const whole = segments.leftOver(from, to);
    const every = Math.max(1, Math.floor((last - first) / 64));
    const coarse = segments.bestSplit(from, to, gap, whole, first, last, every);
    const near = [Math.max(first, coarse.at - every), Math.min(last, coarse.at + every)] as const;
    const { at } = segments.bestSplit(from, to, gap, whole, near[0], near[1], 1);
    list[index] = { ...place, at, to: at + gap, between: [from, to] };
  });
  return list;
}

function eventAt(
  segments: Segments,
  { at, to: behind, peak }: Place,
  gap: number,
  from: number,
  to: number,
): FoundEvent {
  let [loss, sigma] = [0, Infinity];
  if (at - from >= 3 && to - behind >= 3) {
    // The way back from a reflection is no part of its step.
    segments.readStep(from, at, behind, to, at + Math.min(gap, behind - at) / 2);
    loss = segments.step.loss;
    sigma = Math.sqrt(segments.step.variance);
  }
  // Field by field: there are a thousand of these in a trace.
  return {
    sampleIndex: at,
    kind: peak === null ? 'splice' : 'reflection',
    lossDb: loss,
    sigmaDb: sigma,
    peakDb: peak,
    isSaturated: false,
    spreadSamples: 0,
  };
}
