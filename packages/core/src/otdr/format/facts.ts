import type { TraceWarning } from './problem.ts';
import { type SorFile } from './sorFile.ts';
import { type TraceSamples, samplesOf } from './samples.ts';

/** What a trace file says of itself. */
export interface TraceFacts {
  cableId: string;
  fiberId: string;
  wavelengthNm: number;
  from: string;
  to: string;
  /** Seconds since 1970, UTC. */
  measuredAtS: number;
  pulseNs: number;
  averages: number;
  /** Group index x 100 000. */
  groupIndex: number;
  /** Meters between samples, how many there are, and how far they go. */
  spacingM: number;
  samples: number;
  rangeM: number;
  /** Events in the instrument's own table. */
  events: number;
  warnings: TraceWarning[];
}

/** An instrument whose clock was never set says 1970 or thereabouts: before this it knows no time. */
const CLOCK_SET = Date.UTC(2000, 0, 1);

/** When a trace was measured, milliseconds since 1970; null where its instrument knows no time. */
export const measuredMs = ({ measuredAtS }: Pick<TraceFacts, 'measuredAtS'>): number | null =>
  measuredAtS * 1000 < CLOCK_SET ? null : measuredAtS * 1000;

/** The same as ISO 8601. */
export const measuredIso = (facts: Pick<TraceFacts, 'measuredAtS'>): string | null => {
  const ms = measuredMs(facts);
  return ms === null ? null : new Date(ms).toISOString();
};

/** Wavelengths measured by the instrument differ from their nominal figure by a few nm. */
const SAME_WAVELENGTH = 15;

/** What a trace file says of itself; where it names two wavelengths, that is a warning. */
export function factsOf(file: SorFile, samples: TraceSamples = samplesOf(file)): TraceFacts {
  const { general, fixed, keyEvents, warnings } = file;
  const fixedNm = Math.round(fixed.wavelength / 10);
  const wavelengthNm = general?.wavelengthNm || fixedNm;
  return {
    cableId: general?.cableId.trim() ?? '',
    fiberId: general?.fiberId.trim() ?? '',
    wavelengthNm,
    from: general?.fromLocation.trim() ?? '',
    to: general?.toLocation.trim() ?? '',
    measuredAtS: fixed.measuredAtS,
    pulseNs: fixed.pulseWidthsNs[0]!,
    averages: fixed.averages,
    groupIndex: fixed.groupIndex,
    spacingM: samples.spacing,
    samples: samples.levels.length,
    rangeM: samples.first + samples.levels.length * samples.spacing,
    events: keyEvents?.events.length ?? 0,
    warnings:
      Math.abs(fixedNm - wavelengthNm) > SAME_WAVELENGTH
        ? [...warnings, { code: 'twoWavelengths', generalNm: wavelengthNm, fixedNm }]
        : warnings,
  };
}
