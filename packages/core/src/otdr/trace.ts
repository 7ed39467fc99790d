import { findJoints } from './joints.ts';
import { type LaidTrace, zonesOf } from './lay.ts';
import { type Measured, measureAt } from './measure.ts';
import type { PlacedJoint } from './pair.ts';
import { type Survey, surveyOf } from './survey.ts';
import { type SorFile, LIGHT, firstSampleOf, levelsOf, spacingOf } from './sorFile.ts';

/** What the samples of a file say by themselves. Meters of fiber, dB. */
export interface Analysis {
  joints: PlacedJoint[];
  /** Where the fiber ends; null where no end is seen. */
  end: number | null;
  /** Where it is lost in noise before that; null where it is not. */
  faded: number | null;
  /** Noise of single samples near the start. */
  noise: number;
}

/** Levels of a file and how its samples lie along the fiber. */
export interface TraceSamples {
  levels: Float32Array;
  /** Meters from sample to sample, and at the first. */
  spacing: number;
  first: number;
  /** Samples that a pulse covers. */
  pulse: number;
}

/** The samples of a trace file. Of several pulse widths the first is taken: its samples stand first. */
export function samplesOf({ fixed, data }: SorFile): TraceSamples {
  const spacing = spacingOf(fixed);
  return {
    levels: levelsOf(data).subarray(0, fixed.sampleCounts[0] || data.raw.length),
    spacing,
    first: firstSampleOf(fixed),
    pulse: (fixed.pulseWidthsNs[0]! * 1e-9 * LIGHT * 100_000) / fixed.groupIndex / 2 / spacing,
  };
}

/** Finds the joints of a trace file, the instrument's own table left aside. */
export function analyse(
  file: SorFile,
  samples = samplesOf(file),
  survey: Survey = surveyOf(samples.levels, samples.pulse),
): Analysis {
  const { levels, spacing, first, pulse } = samples;
  const { joints, end, faded, noise } = findJoints(levels, pulse, survey);
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

/** Losses of a laid trace at the points of its way, in their order, and of what is at none of them. */
export interface TraceFigures {
  points: Measured['losses'];
  strangers: Measured['losses'];
  total: Measured['total'];
  /** dB/km of the glass behind each point; null where it is too short to tell. */
  glass: (number | null)[];
}

/**
 * Measures a laid trace where its joints lie, found or not.
 * @param survey what is known of the trace already
 */
export function measureTrace(
  samples: TraceSamples,
  laid: LaidTrace,
  survey: Survey = surveyOf(samples.levels, samples.pulse),
): TraceFigures {
  const { levels, spacing, first, pulse } = samples;
  const toSample = (meters: number): number => (meters - first) / spacing;
  const { zones, points, strangers } = zonesOf(laid, toSample, pulse);
  const origin = laid.points[0] ? Math.max(0, Math.round(toSample(laid.points[0].at))) : 0;
  const { losses, total, slopes } = measureAt(levels, pulse, zones, origin, survey);
  const at = (list: readonly number[], index: number) => losses[list.indexOf(index)] ?? null;
  const kilometer = 1000 / spacing;
  return {
    points: laid.points.map((_, index) => at(points, index)),
    strangers: laid.strangers.map((_, index) => at(strangers, index)),
    total,
    glass: laid.points.map((_, index) => {
      const slope = slopes[points.indexOf(index) + 1];
      const known = index === 0 || points.includes(index);
      return known && slope != null ? slope * kilometer : null;
    }),
  };
}
