import { createHash } from 'node:crypto';
import { z } from '@hono/zod-openapi';
import {
  type Analysis,
  type SorFile,
  analyse,
  factsOf,
  isSimulatedTrace,
  readSor,
  samplesOf,
  traceWarningSchema,
} from '@cordel/core/otdr';
import { sorProblemText } from '@cordel/text/files';
import { problemAt, sentence } from '../http/problem.ts';

/** What a trace file says of itself. */
export const traceFactsSchema = z.object({
  cableId: z.string(),
  fiberId: z.string(),
  wavelengthNm: z.int(),
  from: z.string(),
  to: z.string(),
  /** Seconds since 1970, UTC. */
  measuredAtS: z.number(),
  pulseNs: z.number(),
  averages: z.number(),
  /** Group index x 100 000. */
  groupIndex: z.number(),
  /** Meters between samples, how many there are, and how far they go. */
  spacingM: z.number(),
  samples: z.int(),
  rangeM: z.number(),
  /** Events in the instrument's own table. */
  events: z.int(),
  /** Digest of the samples alone. */
  samplesDigest: z.string(),
  warnings: z.array(traceWarningSchema),
});

export type TraceFacts = z.infer<typeof traceFactsSchema>;

/** What was found in the samples, and by which finder. */
export type FoundInTrace = Analysis & { finder: number };

/** Counted up when the finder finds otherwise: traces are looked at again. */
export const FINDER = 4;

/**
 * Reads a trace file and finds its events.
 * @throws Problem 422 where the file cannot be read, with block and byte
 */
export function readTrace(name: string, bytes: Uint8Array) {
  const file = openTrace(name, bytes);
  const samples = samplesOf(file);
  const { raw } = file.data;
  const facts: TraceFacts = {
    ...factsOf(file, samples),
    samplesDigest: sha256(new Uint8Array(raw.buffer, raw.byteOffset, raw.byteLength)),
  };
  const origin = isSimulatedTrace(file) ? ('simulated' as const) : ('instrument' as const);
  return { facts, origin, found: foundIn(file, samples) };
}

export function openTrace(name: string, bytes: Uint8Array): SorFile {
  const read = readSor(bytes);
  if (!read.ok) {
    throw problemAt(422, '/bytes', sentence(`${name}: ${sorProblemText(read.error)}`, read.error));
  }
  return read.value;
}

export const foundIn = (file: SorFile, samples = samplesOf(file)): FoundInTrace => ({
  ...analyse(file, samples),
  finder: FINDER,
});

export const sha256 = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');
