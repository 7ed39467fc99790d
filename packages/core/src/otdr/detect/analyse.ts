import { samplesOf } from '../format/samples.ts';
import type { SorFile } from '../format/sorFile.ts';
import { type FoundEvent, findEvents } from './findEvents.ts';
import { type Survey, surveyOf } from './survey.ts';

/** A joint at its place on the fiber. */
export interface TraceEvent extends FoundEvent {
  /** Meters of fiber from where the trace was shot. */
  position: number;
  /** How far that may be off, m: one standard deviation. */
  reach: number;
}

/** What the samples of a file say by themselves. Meters of fiber, dB. */
export interface Analysis {
  joints: TraceEvent[];
  /** Where the fiber ends; null where no end is seen. */
  end: number | null;
  /** Where it is lost in noise before that; null where it is not. */
  faded: number | null;
  /** Noise of single samples near the start. */
  noise: number;
}

/** Finds the joints of a trace file, the instrument's own table left aside. */
export function analyse(
  file: SorFile,
  samples = samplesOf(file),
  survey: Survey = surveyOf(samples.levels, samples.pulse),
): Analysis {
  const { levels, spacing, first, pulse } = samples;
  const { joints, end, faded, noise } = findEvents(levels, pulse, survey);
  return {
    joints: joints.map((joint) => ({
      ...joint,
      position: first + joint.at * spacing,
      reach: joint.spread * spacing,
    })),
    end: end === null ? null : first + end * spacing,
    faded: faded === null ? null : first + faded * spacing,
    noise,
  };
}
