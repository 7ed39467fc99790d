import { createHash } from 'node:crypto';
import { z } from '@hono/zod-openapi';
import {
  type Analysis,
  type SorFile,
  type TraceSamples,
  analyse,
  metersOf,
  readSor,
  samplesOf,
} from '@cordel/core/otdr';
import { Problem } from '../http/problem.ts';

/** What a trace file says of itself. */
export const traceFactsSchema = z.object({
  cableId: z.string(),
  fiberId: z.string(),
  wavelengthNm: z.int(),
  from: z.string(),
  to: z.string(),
  /** Seconds since 1970, UTC. */
  at: z.number(),
  pulseNs: z.number(),
  averages: z.number(),
  /** Group index x 100 000. */
  groupIndex: z.number(),
  /** Meters between samples, how many there are, and how far they go. */
  spacing: z.number(),
  samples: z.int(),
  range: z.number(),
  /** Events in the instrument's own table. */
  events: z.int(),
  /** Digest of the samples alone. */
  samplesDigest: z.string(),
  warnings: z.array(z.string()),
});

export type TraceFacts = z.infer<typeof traceFactsSchema>;

/** What was found in the samples, and by which finder. */
export type FoundInTrace = Analysis & { finder: number };

/** Counted up when the finder finds otherwise: traces are looked at again. */
export const FINDER = 1;

/**
 * Reads a trace file and finds its joints.
 * @throws Problem 422 where the file cannot be read, with block and byte
 */
export function readTrace(name: string, bytes: Uint8Array) {
  const file = openTrace(name, bytes);
  const samples = samplesOf(file);
  return { facts: factsOf(file, samples), found: foundIn(file, samples) };
}

export function openTrace(name: string, bytes: Uint8Array): SorFile {
  const read = readSor(bytes);
  if (!read.ok) {
    const detail = `${name}: ${read.error}`;
    throw new Problem(422, detail, [{ place: '/bytes', detail }]);
  }
  return read.value;
}

export const foundIn = (file: SorFile, samples = samplesOf(file)): FoundInTrace => ({
  ...analyse(file, samples),
  finder: FINDER,
});

export const sha256 = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');

function factsOf(
  { general, fixed, keyEvents, data, warnings }: SorFile,
  samples: TraceSamples,
): TraceFacts {
  const nm = general?.wavelengthNm || Math.round(fixed.wavelength / 10);
  const fixedNm = Math.round(fixed.wavelength / 10);
  return {
    cableId: general?.cableId.trim() ?? '',
    fiberId: general?.fiberId.trim() ?? '',
    wavelengthNm: nm,
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
    samplesDigest: sha256(
      new Uint8Array(data.raw.buffer, data.raw.byteOffset, data.raw.byteLength),
    ),
    // Tenths of a nm differ from the nominal figure by a few.
    warnings:
      Math.abs(fixedNm - nm) > 15
        ? [
            ...warnings,
            `The file names two wavelengths: GenParams ${nm} nm, FxdParams ${fixedNm} nm.`,
          ]
        : warnings,
  };
}

/** The instrument's own table of a file, in meters and dB. */
export const ownTable = ({ keyEvents, fixed }: SorFile) =>
  (keyEvents?.events ?? []).map((event) => ({
    position: metersOf(event.time, fixed.groupIndex),
    loss: event.loss / 1000,
    reflectance: event.reflectance / 1000,
    code: event.code,
  }));
