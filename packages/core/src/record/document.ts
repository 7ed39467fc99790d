import { z } from 'zod';
import { idSchema } from './basics.ts';
import { cableSchema } from './cable.ts';
import { closingEntrySchema, photoSchema, signedRecordSchema } from './closing.ts';
import { closureSchema } from './closure.ts';
import { evidenceSchema } from './evidence.ts';
import { assemblySchema, hardwareSchema } from './hardware.ts';
import { instrumentSchema } from './instrument.ts';
import { instrumentEntrySchema } from './instrumentLog.ts';
import { planSchema } from './plan.ts';
import { projectSchema } from './project.ts';
import { schemeSchema } from './scheme.ts';
import { spliceSchema } from './splice.ts';
import { keptTraceSchema, tracePlaceSchema } from './trace.ts';
import { keptRecordSchema, setAsideSchema } from './splicerRecord.ts';
import { upgradeDocument } from './upgradeDocument.ts';

/** Of documents that are written. */
export const DOCUMENT_VERSION = 3;

/**
 * A whole project as one document. Evidence stands in the order in which it was recorded, for that
 * order decides what counts.
 */
export const documentSchema = z.object({
  format: z.literal('cordel.project'),
  version: z.literal(DOCUMENT_VERSION, {
    error: ({ input }) =>
      typeof input === 'number' && input > DOCUMENT_VERSION
        ? `This document is of version ${input}; this Cordel reads up to version ${DOCUMENT_VERSION}. Update Cordel first.`
        : `A project document has version ${DOCUMENT_VERSION}.`,
  }),
  project: projectSchema,
  schemes: z.array(schemeSchema),
  closures: z.array(closureSchema),
  cables: z.array(cableSchema),
  splices: z.array(spliceSchema),
  /** Ids of its closures and cables that are out of the way. */
  archived: z.array(idSchema).default([]),
  /** Plans that were written; a closure without one has its splices only. */
  plans: z.array(planSchema).default([]),
  /** Users’ own hardware profiles that the closures use. */
  hardware: z.array(hardwareSchema).default([]),
  /** What meets in each closure, where it is described. */
  assemblies: z.array(assemblySchema).default([]),
  /** Users’ own splicers and cleavers that the project's records name. */
  instruments: z.array(instrumentSchema).default([]),
  /** What splicers recorded, in the order in which it came in. */
  splicerRecords: z.array(keptRecordSchema).default([]),
  /** Records that belong to no splice, with why. */
  setAside: z.array(setAsideSchema).default([]),
  /** Sessions, arc checks and what was done to instruments. */
  instrumentLog: z.array(instrumentEntrySchema).default([]),
  /** Trace files, byte for byte, in the order in which they came in, and where each belongs. */
  traces: z.array(keptTraceSchema).default([]),
  tracePlaces: z.array(tracePlaceSchema).default([]),
  evidence: z.array(evidenceSchema),
  /** What was done to close each closure, in the order in which it was recorded. */
  closing: z.array(closingEntrySchema).default([]),
  photos: z.array(photoSchema).default([]),
  /** Closures' records as they were signed. */
  signed: z.array(signedRecordSchema).default([]),
});

/** The same, from a document of any version so far. */
export const anyDocumentSchema = z.preprocess(upgradeDocument, documentSchema);

export type ProjectDocument = z.infer<typeof documentSchema>;

/** The published JSON Schema (draft 2020-12) of {@link documentSchema}. */
export function documentJsonSchema(): Record<string, unknown> {
  return { title: 'Cordel project', ...z.toJSONSchema(documentSchema, { io: 'input' }) };
}
