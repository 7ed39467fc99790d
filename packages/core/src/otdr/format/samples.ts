import { type SorFile, LIGHT, firstSampleOf, levelsOf, spacingOf } from './sorFile.ts';

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
