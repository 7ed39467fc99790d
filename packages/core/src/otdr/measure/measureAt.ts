import { type Fit, levelAt, varianceAt } from '../detect/segments.ts';
import { type Survey, segmentsOf, surveyOf } from '../detect/survey.ts';

/** Where a joint lies or may lie: nothing of these samples counts for the lines beside it. */
export interface Zone {
  at: number;
  to: number;
}

/** What a trace says at known places. dB. */
export interface Measured {
  /** Loss at each place, a gain below zero, and its standard deviation; null where a side is too short. */
  losses: ({ loss: number; sigma: number } | null)[];
  /** Loss from the origin to the end of the fiber, joints and glass, without the connectors at both ends. */
  total: { loss: number; sigma: number } | null;
  /** dB a sample of the glass on each side of the places: one more than there are places. */
  slopes: (number | null)[];
}

/** Samples a line takes at least. */
const LEAST = 12;

/**
 * Measures a trace at places that are known, by weighted least squares over the whole stretch between
 * one place and the next. A joint too small to be found by itself has a figure all the same, with its
 * uncertainty; and no noise helped to choose the place.
 * @param levels dB, one a sample
 * @param pulse samples that a pulse covers
 * @param zones in order along the trace, none overlapping
 * @param origin sample at which the fiber begins
 * @param survey what is known of the trace already
 */
export function measureAt(
  levels: Float32Array,
  pulse: number,
  zones: readonly Zone[],
  origin = 0,
  survey: Survey = surveyOf(levels, pulse),
): Measured {
  const { start, stop, end, peaks } = survey;
  const segments = segmentsOf(levels, survey);
  // A reflection in a zone has its dead zone added.
  const wide = zones.map(({ at, to }) => {
    const [from, behind] = [clamp(at, start, stop), clamp(to, start, stop)];
    const over = peaks.filter((peak) => peak.at < behind && peak.to > from);
    return {
      at: Math.min(from, ...over.map((peak) => peak.at)),
      to: Math.max(behind, ...over.map((peak) => Math.min(stop, peak.to))),
    };
  });
  const lines = Array.from({ length: wide.length + 1 }, (_, index) =>
    lineOf(index === 0 ? start : wide[index - 1]!.to, wide[index]?.at ?? stop),
  );
  function lineOf(from: number, to: number): Fit | null {
    return to - from < LEAST || segments.weight(from, to) <= 0 ? null : segments.line(from, to);
  }
  const losses = wide.map(({ at }, index) => {
    const [before, after] = [lines[index], lines[index + 1]];
    if (!before || !after || at >= stop) return null;
    return {
      loss: levelAt(before, at) - levelAt(after, at),
      sigma: Math.sqrt(varianceAt(before, at) + varianceAt(after, at)),
    };
  });
  const first = lines.findIndex((line, index) => line && (wide[index]?.at ?? stop) > origin);
  const [head, tail] = [lines[first], lines.at(-1)];
  const total =
    end === null || !head || !tail
      ? null
      : {
          loss: levelAt(head, origin) - levelAt(tail, end),
          sigma:
            head === tail
              ? Math.abs(end - origin) / Math.sqrt(head.spread)
              : Math.sqrt(varianceAt(head, origin) + varianceAt(tail, end)),
        };
  return { losses, total, slopes: lines.map((line) => line && -line.slope) };
}

const clamp = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, Math.round(value)));
