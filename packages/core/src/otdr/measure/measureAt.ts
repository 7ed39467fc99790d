import { type Fit, levelAt, varianceAt } from '../detect/segments.ts';
import { type Survey, scatterOf, segmentsOf, surveyOf } from '../detect/survey.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** Where an event lies or may lie: nothing of these samples counts for the lines beside it. */
export interface Zone {
  startIndex: number;
  endIndex: number;
}

/** What a trace says at known places. dB. */
export interface Measured {
  /** Loss at each place, a gain below zero, and its standard deviation; null where a side is too short. */
  losses: ({ lossDb: number; sigmaDb: number } | null)[];
  /** Loss from the origin to the end of the fiber, events and glass, without the connectors at both ends. */
  total: { lossDb: number; sigmaDb: number } | null;
  /** dB a sample of the glass on each side of the places: one more than there are places. */
  slopesDbPerSample: (number | null)[];
}

/** Samples a line takes at least. */
const LEAST = 12;

/**
 * Measures a trace at places that are known, by weighted least squares over the whole segment between
 * one place and the next. An event too small to be found by itself has a figure all the same, with its
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
  const segments = segmentsOf(survey);
  const lead = survey.smear / 2;
  // A reflection in a zone has its dead zone added.
  const wide = zones.map(({ startIndex, endIndex }): Zone => {
    const from = clamp(startIndex - lead, start, stop);
    const to = clamp(endIndex + lead, start, stop);
    const over = peaks.filter((peak) => peak.at < to && peak.to > from);
    return {
      startIndex: Math.min(from, ...over.map((peak) => peak.at)),
      endIndex: Math.max(to, ...over.map((peak) => Math.min(stop, peak.to))),
    };
  });
  const lines = Array.from({ length: wide.length + 1 }, (_, index) =>
    lineOf(index === 0 ? start : wide[index - 1]!.endIndex, wide[index]?.startIndex ?? stop),
  );
  function lineOf(from: number, to: number): Fit | null {
    return to - from < LEAST || segments.weight(from, to) <= 0 ? null : segments.line(from, to);
  }
  // Where samples hang together, the parts between the places tell best by how much.
  const wider = Math.sqrt(scatterOf(segments, survey, partsOf(wide, start, stop)));
  const losses = wide.map(({ startIndex }, index) => {
    const [before, after] = [lines[index], lines[index + 1]];
    if (!before || !after || startIndex >= stop) return null;
    // A pulse shows every place of the fiber half of its length later: a step lies where it is half over.
    const at = (zones[index]!.startIndex + zones[index]!.endIndex) / 2;
    return {
      lossDb: levelAt(before, at) - levelAt(after, at),
      sigmaDb: wider * Math.sqrt(varianceAt(before, at) + varianceAt(after, at)),
    };
  });
  const first = lines.findIndex(
    (line, index) => line && (wide[index]?.startIndex ?? stop) > origin,
  );
  const [head, tail] = [lines[first], lines.at(-1)];
  const total =
    end === null || !head || !tail
      ? null
      : {
          lossDb: levelAt(head, origin) - levelAt(tail, end),
          sigmaDb:
            head === tail
              ? (wider * Math.abs(end - origin)) / Math.sqrt(head.spread)
              : wider * Math.sqrt(varianceAt(head, origin) + varianceAt(tail, end)),
        };
  return { losses, total, slopesDbPerSample: lines.map((line) => line && -line.slope) };
}

/** The parts of a trace between the places. */
const partsOf = (zones: readonly Zone[], start: number, stop: number): [number, number][] =>
  [...zones, null].map((zone, index) => [
    index === 0 ? start : zones[index - 1]!.endIndex,
    zone?.startIndex ?? stop,
  ]);

const clamp = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, Math.round(value)));
