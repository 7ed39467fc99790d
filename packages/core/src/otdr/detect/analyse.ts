import { samplesOf } from '../format/samples.ts';
import type { SorFile } from '../format/sorFile.ts';
import { isEcho } from './echoes.ts';
import { findEvents } from './findEvents.ts';
import type { FoundEvent } from './foundEvent.ts';
import { type Survey, surveyOf } from './survey.ts';

/** An event at its place on the fiber. */
export interface TraceEvent extends FoundEvent {
  /** Meters of fiber from where the trace was shot. */
  positionM: number;
  /** How far that may be off, m: one standard deviation. */
  positionSigmaM: number;
}

/** What the samples of a file say by themselves. Meters of fiber, dB. */
export interface Analysis {
  events: TraceEvent[];
  /** Where the fiber ends; null where no end is seen. */
  endM: number | null;
  /** Where it is lost in noise before that; null where it is not. */
  fadedM: number | null;
  /** Noise of single samples near the start. */
  noiseDb: number;
  /** How many samples know as much as one that is independent: the receiver is slow, or the instrument smooths. */
  sharedSamples: number;
  /** Steps in which levels are stored. */
  storedStepDb: number;
}

/** Finds the events of a trace file, the instrument's own table left aside. */
export function analyse(
  file: SorFile,
  samples = samplesOf(file),
  survey: Survey = surveyOf(samples.levels, samples.pulse, samples.spacing),
): Analysis {
  const { levels, spacing, first, pulse } = samples;
  const found = findEvents(levels, pulse, survey);
  const metersTo = (index: number | null) => (index === null ? null : first + index * spacing);
  const events = found.events.map((event) => ({
    ...event,
    positionM: first + event.sampleIndex * spacing,
    positionSigmaM: event.spreadSamples * spacing,
  }));
  return {
    events: events.map((event) =>
      isEcho(event, events, pulse * spacing) ? { ...event, kind: 'echo' } : event,
    ),
    endM: metersTo(found.endIndex),
    fadedM: metersTo(found.fadedIndex),
    noiseDb: found.noiseDb,
    sharedSamples: found.sharedSamples,
    storedStepDb: found.storedStepDb,
  };
}
