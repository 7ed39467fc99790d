import type { FoundEvent } from './foundEvent.ts';
import { NOISE_BIN, type Noise } from './noise.ts';
import { type Width, findSteps } from './steps.ts';
import { PEAK, type Survey, meanOf, pooled, scatterOf, segmentsOf, surveyOf } from './survey.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

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

/** A pulse covers so many places at least: finer ones tell a step no better and cost as much each. */
const FINE = 3;
/** By how much the check between events must differ from what was taken for all to be done anew. */
const SCATTER = 0.1;
/** What looks more scattered than this has more in it than noise. */
const MOST_SCATTER = 3;
/** Samples before all is lost in noise whose short line makes steps of anything. */
const UNSURE = 128;
/** Whose place is so uncertain that less deviations than this are left of its step is none. */
const STANDS = 3.2;
/** Steps of less are not told apart from how far an instrument's levels are from straight, dB (common practice, no source). */
const LEAST_STEP = 0.01;
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
  const gap = own.gap + Math.ceil((2 * lead) / pool);
  const width: Width = { gap, chance: gap * Math.min(1, pool / survey.correlated) };
  const segments = segmentsOf(survey, pool);
  const changes = findSteps(segments, peaks, width, start, stop);
  const scatter = scatterOf(segments, survey, partsOf(changes, gap, start, stop), pool);
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
