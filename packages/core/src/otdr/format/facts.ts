import { type SorFile, metersOf } from './sorFile.ts';
import { type TraceSamples, samplesOf } from './samples.ts';

/** What a trace file says of itself. */
export interface TraceFacts {
  cableId: string;
  fiberId: string;
  wavelengthNm: number;
  from: string;
  to: string;
  /** Seconds since 1970, UTC. */
  at: number;
  pulseNs: number;
  averages: number;
  /** Group index x 100 000. */
  groupIndex: number;
  /** Meters between samples, how many there are, and how far they go. */
  spacing: number;
  samples: number;
  range: number;
  /** Events in the instrument's own table. */
  events: number;
  warnings: string[];
}

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
    at: fixed.at,
    pulseNs: fixed.pulseWidthsNs[0]!,
    averages: fixed.averages,
    groupIndex: fixed.groupIndex,
    spacing: samples.spacing,
    samples: samples.levels.length,
    range: samples.first + samples.levels.length * samples.spacing,
    events: keyEvents?.events.length ?? 0,
    warnings:
      Math.abs(fixedNm - wavelengthNm) > SAME_WAVELENGTH
        ? [
            ...warnings,
            `The file names two wavelengths: GenParams ${wavelengthNm} nm, FxdParams ${fixedNm} nm.`,
          ]
        : warnings,
  };
}

/** A row of the instrument's own table, in meters and dB. */
export interface OwnEvent {
  position: number;
  loss: number;
  reflectance: number;
  code: string;
}

export const ownTable = ({ keyEvents, fixed }: SorFile): OwnEvent[] =>
  (keyEvents?.events ?? []).map((event) => ({
    position: metersOf(event.time, fixed.groupIndex),
    loss: event.loss / 1000,
    reflectance: event.reflectance / 1000,
    code: event.code,
  }));
