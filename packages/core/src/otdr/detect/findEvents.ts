import { NOISE_BIN, type Noise } from './noise.ts';
import type { Segments } from './segments.ts';
import { PEAK, type Peak, type Survey, meanOf, pooled, segmentsOf, surveyOf } from './survey.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/**
 * A step without a reflection is a splice or a bend, one as large as a splitter's is a `splitter`; an `echo` is a
 * reflection that light came to by a detour.
 */
export type EventKind = 'splice' | 'reflection' | 'splitter' | 'echo' | 'end';

/** A place of a trace where its level changes. Places in samples. */
export interface FoundEvent {
  sampleIndex: number;
  kind: EventKind;
  /** Loss in dB, a gain below zero, and its standard deviation; null at the end of the fiber. */
  lossDb: number | null;
  sigmaDb: number | null;
  /** Height of the peak over the level before it, dB; null without one. */
  peakDb: number | null;
  /** Whether the peak is as high as the instrument shows: it may be higher. */
  isSaturated: boolean;
  /** How far its place may be off, one standard deviation. */
  spreadSamples: number;
}

export interface FoundEvents {
  events: FoundEvent[];
  /** Where the fiber ends; null where no end is seen. */
  endIndex: number | null;
  /** Where it is lost in noise before that; null where it is not. */
  fadedIndex: number | null;
  /** Standard deviation of single samples near the start, dB. */
  noiseDb: number;
  /** How many samples know as much as one that is independent: the receiver is slow, or the instrument smooths. */
  sharedSamples: number;
  /** Steps in which levels are stored, dB. */
  storedStepDb: number;
}

/**
 * How much less two lines must leave over than one for a step to be one, beyond what the samples of the
 * gap leave over: with so many places to choose from, noise alone gets there in less than one trace of a
 * hundred.
 */
const SURE = 18;
/** How much less three lines must leave over than two for two steps close together to be two. */
const TWO = 50;
/** A pulse covers so many places at least: finer ones tell a step no better and cost as much each. */
const FINE = 3;
/** By how much the check between events must differ from what was taken for all to be done anew. */
const SCATTER = 0.1;
/** What looks more scattered than this has more in it than noise. */
const MOST_SCATTER = 3;
/** Samples before all is lost in noise whose short line makes steps of anything. */
const UNSURE = 128;
/** Whose place is so uncertain that less deviations than this are left of its step is none. */
const STANDS = 2.5;
/** Steps of less are not told apart from how far an instrument's levels are from straight, dB (common practice, no source). */
const LEAST_STEP = 0.01;
/** An event stays where its own step is so many of its deviations. */
const OWN = 4.2;
/**
 * Finds the events of a trace from its samples alone: noise as it grows, the end, reflections with their
 * dead zones, then steps between straight segments. A segment is split where two lines leave over the
 * least, again and again; then each event is measured by weighted least squares over the whole segment
 * on either side, both lines taken to the event.
 * @param levels dB, one a sample
 * @param pulse samples that a pulse covers
 * @param survey what is known of the trace already
 */
export function findEvents(
  levels: Float32Array,
  pulse: number,
  survey: Survey = surveyOf(levels, pulse),
): FoundEvents {
  const first = search(levels, survey);
  if (Math.abs(first.scatter - 1) <= SCATTER) return first.found;
  // Between its events a trace tells better how its noise hangs together than with them.
  const more = Math.min(MOST_SCATTER, first.scatter);
  const correlated = Math.max(1, survey.correlated * more);
  return search(levels, { ...survey, correlated }).found;
}

/** Looks for events with what a survey says, and how much more it scatters between them than that says. */
function search(levels: Float32Array, survey: Survey): { found: FoundEvents; scatter: number } {
  const { noise, end, lost } = survey;
  const pool = Math.min(4, Math.max(1, Math.floor(survey.gap / FINE)));
  const { peaks, start, stop, ...own } = pool === 1 ? survey : pooled(survey, pool);
  // A step of smoothed levels begins half of what they are smoothed over before it.
  const lead = survey.smear / 2;
  const width: Width = { gap: own.gap + Math.ceil((2 * lead) / pool), chance: own.gap };
  const { gap } = width;
  const segments = segmentsOf(survey, pool);
  const steps: number[] = [];
  const edges = [start, ...peaks.map(({ at }) => at), stop];
  for (let index = 1; index < edges.length; index++) {
    const from = index === 1 ? start : Math.min(stop, peaks[index - 2]!.to);
    split(segments, from, edges[index]!, width, steps);
  }
  const changes = measured(segments, steps, peaks, width, start, stop);
  const block = survey.block === null ? null : Math.ceil(survey.block / pool);
  const scatter = block === null ? 1 : segments.scatter(partsOf(changes, gap, start, stop), block);
  // A line of a few samples, right where all is lost in noise, makes steps of anything.
  const sure = lost === null ? stop : stop - UNSURE / pool;
  const events = changes
    .filter(
      ({ sampleIndex: at, peakDb: peak, lossDb: loss, sigmaDb: sigma }) =>
        peak !== null || (at < sure && Math.abs(loss!) >= Math.max(LEAST_STEP, STANDS * sigma!)),
    )
    .map((event) => ({
      ...event,
      sampleIndex: event.sampleIndex * pool + (event.peakDb === null ? Math.round(lead) : 0),
      spreadSamples: event.spreadSamples * pool,
    }));
  const drop = dropEvent(survey);
  if (drop) events.push(drop);
  if (end !== null) events.push(endEvent(levels, noise, end, survey.gap));
  return {
    found: {
      events: events.map((event) => named(event, levels, survey)),
      endIndex: end,
      fadedIndex: end === null ? lost : null,
      noiseDb: noise.at(survey.start),
      sharedSamples: survey.correlated,
      storedStepDb: noise.storedStep,
    },
    scatter,
  };
}

/** The parts of a trace between its events. */
function partsOf(
  events: readonly FoundEvent[],
  gap: number,
  start: number,
  stop: number,
): [number, number][] {
  const edges = [start, ...events.map(({ sampleIndex }) => sampleIndex), stop];
  return edges.slice(1).map((edge, index) => [edges[index]! + (index > 0 ? 8 * gap : 0), edge]);
}

/** How wide a step is. */
interface Width {
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
  if (segments.stepGain(from, at, gap, to) < SURE) return;
  steps.push(at);
  split(segments, from, at, width, steps);
  split(segments, at + gap, to, width, steps);
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

/** Events with their losses; those that are no step once their neighbours are known are left out. */
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

/** The event that is least of a step, if it is none; -1 where all stand. A reflection stands by its peak. */
function weakestOf(events: readonly FoundEvent[]): number {
  let weakest = -1;
  events.forEach((event, index) => {
    if (event.peakDb !== null || strength(event) >= OWN) return;
    if (weakest < 0 || strength(event) < strength(events[weakest]!)) weakest = index;
  });
  return weakest;
}

const strength = ({ lossDb: loss, sigmaDb: sigma }: FoundEvent): number => Math.abs(loss!) / sigma!;

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

function eventAt(segments: Segments, place: Place, from: number, to: number): FoundEvent {
  const { at, peak } = place;
  let [loss, sigma] = [0, Infinity];
  if (at - from >= 3 && to - place.to >= 3) {
    // The step is the same wherever both lines are read, but for their slopes: read it at the event.
    segments.readStep(from, at, place.to, to);
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

function endEvent(levels: Float32Array, noise: Noise, end: number, gap: number): FoundEvent {
  const before = meanOf(levels, Math.max(0, end - 4 * gap - 20), Math.max(1, end - 1));
  let top = -Infinity;
  for (let at = end; at < Math.min(levels.length, end + gap + 2); at++)
    top = Math.max(top, levels[at]!);
  const rise = top - before;
  const peak =
    rise > Math.max(PEAK.least, PEAK.deviations * noise.at(end - 5 * NOISE_BIN)) ? rise : null;
  return {
    sampleIndex: end,
    kind: 'end',
    lossDb: null,
    sigmaDb: null,
    peakDb: peak,
    isSaturated: false,
    spreadSamples: 0,
  };
}

/** A splitter with nothing but noise behind it, told by the power that is left. */
function dropEvent({ lost, drop, gap }: Survey): FoundEvent | null {
  if (lost === null || drop === null || drop.lossDb < SPLITTER) return null;
  return {
    sampleIndex: lost,
    kind: 'splitter',
    lossDb: drop.lossDb,
    sigmaDb: drop.sigmaDb,
    peakDb: null,
    isSaturated: false,
    spreadSamples: gap,
  };
}

/** The least that a splitter takes, dB: one into two halves light, and is measured a little wrong. */
const SPLITTER = 2.8;
/** A peak is as high as the instrument shows where it is as high as its own launch, to so many dB. */
const AS_HIGH = 0.02;

/** An event with what it is called by its size. */
function named(event: FoundEvent, levels: Float32Array, { gap, start }: Survey): FoundEvent {
  const { kind, lossDb, peakDb, sampleIndex } = event;
  if (kind === 'splice' && lossDb! >= SPLITTER) return { ...event, kind: 'splitter' };
  if (peakDb === null) return event;
  const top = highest(levels, sampleIndex, sampleIndex + 2 * gap + 2);
  return { ...event, isSaturated: top >= highest(levels, 0, Math.max(1, start)) - AS_HIGH };
}

function highest(levels: Float32Array, from: number, to: number): number {
  let most = -Infinity;
  for (let at = from; at < Math.min(to, levels.length); at++) most = Math.max(most, levels[at]!);
  return most;
}
