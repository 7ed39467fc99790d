import { z } from 'zod';
import { DOCUMENT_VERSION, idSchema } from './basics.ts';
import { cableSchema } from './cable.ts';
import { closingEntrySchema, photoSchema, signedRecordSchema } from './closing.ts';
import { closureSchema } from './closure.ts';
import { evidenceSchema } from './evidence.ts';
import { assemblySchema, hardwareSchema } from './hardware.ts';
import { instrumentSchema } from './instrument.ts';
import { instrumentEntrySchema } from './instrumentLog.ts';
import { linkEntrySchema } from './link.ts';
import { planSchema } from './plan.ts';
import { projectSchema } from './project.ts';
import { schemeSchema } from './scheme.ts';
import { spliceSchema } from './splice.ts';
import { keptTraceSchema, tracePlaceSchema } from './trace.ts';
import { keptRecordSchema, setAsideSchema } from './splicerRecord.ts';
import { upgradeDocument } from './upgradeDocument.ts';
import { issue } from './issue.ts';

export { DOCUMENT_VERSION, upgradeDocument };

/** How many rows a list of a document may have; no real project comes near. */
export const MOST_ROWS = {
  schemes: 1000,
  closures: 20_000,
  cables: 20_000,
  splices: 2_000_000,
  archived: 40_000,
  plans: 20_000,
  hardware: 2000,
  assemblies: 20_000,
  instruments: 2000,
  splicerRecords: 2_000_000,
  setAside: 2_000_000,
  instrumentLog: 500_000,
  links: 2_000_000,
  traces: 200_000,
  tracePlaces: 1_000_000,
  evidence: 10_000_000,
  closing: 1_000_000,
  photos: 200_000,
  signed: 40_000,
  odd: 100_000,
} as const;

/**
 * A whole project as one document. Evidence stands in the order in which it was recorded, for that
 * order decides what counts.
 */
export const documentSchema = z.object({
  format: z.literal('cordel.project'),
  version: z.literal(DOCUMENT_VERSION, {
    error: ({ input }) =>
      typeof input === 'number' && input > DOCUMENT_VERSION
        ? issue('documentTooNew')
        : issue('documentVersionWrong'),
  }),
  project: projectSchema,
  schemes: z.array(schemeSchema).max(MOST_ROWS.schemes),
  closures: z.array(closureSchema).max(MOST_ROWS.closures),
  cables: z.array(cableSchema).max(MOST_ROWS.cables),
  splices: z.array(spliceSchema).max(MOST_ROWS.splices),
  /** Ids of its closures and cables that are out of the way. */
  archived: z.array(idSchema).max(MOST_ROWS.archived).default([]),
  /** Plans that were written; a closure without one has its splices only. */
  plans: z.array(planSchema).max(MOST_ROWS.plans).default([]),
  /** Users’ own hardware profiles that the closures use. */
  hardware: z.array(hardwareSchema).max(MOST_ROWS.hardware).default([]),
  /** What meets in each closure, where it is described. */
  assemblies: z.array(assemblySchema).max(MOST_ROWS.assemblies).default([]),
  /** Users’ own splicers and cleavers that the project's records name. */
  instruments: z.array(instrumentSchema).max(MOST_ROWS.instruments).default([]),
  /** What splicers recorded, in the order in which it came in. */
  splicerRecords: z.array(keptRecordSchema).max(MOST_ROWS.splicerRecords).default([]),
  /** Records that belong to no splice, with why. */
  setAside: z.array(setAsideSchema).max(MOST_ROWS.setAside).default([]),
  /** Sessions, arc checks and what was done to instruments. */
  instrumentLog: z.array(instrumentEntrySchema).max(MOST_ROWS.instrumentLog).default([]),
  /** What meters tell of links, in the order in which it was recorded. */
  links: z.array(linkEntrySchema).max(MOST_ROWS.links).default([]),
  /** Trace files, byte for byte, in the order in which they came in, and where each belongs. */
  traces: z.array(keptTraceSchema).max(MOST_ROWS.traces).default([]),
  tracePlaces: z.array(tracePlaceSchema).max(MOST_ROWS.tracePlaces).default([]),
  evidence: z.array(evidenceSchema).max(MOST_ROWS.evidence),
  /** What was done to close each closure, in the order in which it was recorded. */
  closing: z.array(closingEntrySchema).max(MOST_ROWS.closing).default([]),
  photos: z.array(photoSchema).max(MOST_ROWS.photos).default([]),
  /** Closures' records as they were signed. */
  signed: z.array(signedRecordSchema).max(MOST_ROWS.signed).default([]),
  /** Ids of entries that contradict others, and were recorded before that was refused. */
  odd: z.array(idSchema).max(MOST_ROWS.odd).optional(),
});

export type ProjectDocument = z.infer<typeof documentSchema>;

/** A project's document as it stands in a zip: without the bytes of files, which lie beside it ({@link packedPath}). */
export const packedDocumentSchema = documentSchema.extend({
  traces: z
    .array(keptTraceSchema.omit({ bytes: true }))
    .max(MOST_ROWS.traces)
    .default([]),
  photos: z
    .array(photoSchema.omit({ bytes: true }))
    .max(MOST_ROWS.photos)
    .default([]),
});

export type PackedDocument = z.infer<typeof packedDocumentSchema>;

/** Lists of a document whose rows have a file each. */
export const FILE_LISTS = ['traces', 'photos'] as const;
export type FileList = (typeof FILE_LISTS)[number];

/** The document in a zip. */
export const PACKED_DOCUMENT = 'document.json';

/** Where the file of a row lies in a zip. */
export const packedPath = (list: FileList, id: string): string =>
  list === 'traces' ? `traces/${id}.sor` : `photos/${id}.jpg`;

/** The published JSON Schema (draft 2020-12) of {@link documentSchema}. */
export function documentJsonSchema(): Record<string, unknown> {
  return { title: 'Cordel project', ...z.toJSONSchema(documentSchema, { io: 'input' }) };
}
