import type { AlignedTrace } from '../align/alignTrace.ts';
import { type Survey, surveyOf } from '../detect/survey.ts';
import type { TraceSamples } from '../format/samples.ts';
import { type Measured, measureAt } from './measureAt.ts';
import { zonesOf } from './zones.ts';

/** Losses of an aligned trace at the points of its route, in their order, and of what is at none of them. */
export interface TraceFigures {
  points: Measured['losses'];
  unmatched: Measured['losses'];
  total: Measured['total'];
  /** dB/km of the glass behind each point; null where it is too short to tell. */
  attenuationDbPerKm: (number | null)[];
}

/**
 * Measures an aligned trace where its events lie, found or not.
 * @param survey what is known of the trace already
 */
export function measureTrace(
  samples: TraceSamples,
  aligned: AlignedTrace,
  survey: Survey = surveyOf(samples.levels, samples.pulse, samples.spacing),
): TraceFigures {
  const { levels, spacing, first, pulse } = samples;
  const toSample = (meters: number): number => (meters - first) / spacing;
  const { zones, points, unmatched } = zonesOf(aligned, toSample, pulse);
  const origin = aligned.points[0]
    ? Math.max(0, Math.round(toSample(aligned.points[0].positionM)))
    : 0;
  const {
    losses,
    total,
    slopesDbPerSample: slopes,
  } = measureAt(levels, pulse, zones, origin, survey);
  const at = (list: readonly number[], index: number) => losses[list.indexOf(index)] ?? null;
  const kilometer = 1000 / spacing;
  return {
    points: aligned.points.map((_, index) => at(points, index)),
    unmatched: aligned.unmatched.map((_, index) => at(unmatched, index)),
    total,
    attenuationDbPerKm: aligned.points.map((_, index) => {
      const slope = slopes[points.indexOf(index) + 1];
      const known = index === 0 || points.includes(index);
      return known && slope != null ? slope * kilometer : null;
    }),
  };
}
