import { inArray } from 'drizzle-orm';
import { BUILT_IN_SCHEMES } from '@cordel/core';
import type { PackedDocument, ProjectDocument } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import { putInstrument } from '../../bench/queries.ts';
import type { Db } from '../../db/client.ts';
import { type AddedForAll, hardware, instruments, projects, schemes } from '../../db/schema.ts';
import { Problem, fromDatabase } from '../../http/problem.ts';
import { putHardware } from '../../prep/queries.ts';
import { allSchemes } from '../../schemes/queries.ts';
import { clearImport } from './clear.ts';
import { contradictionsOf, withoutStrays } from './contradictions.ts';
import { type DocumentFiles, unpacked } from './files.ts';
import { ImportStopped, beginImport, finishImport, onImport, refuseKnown } from './imports.ts';
import { writeRows } from './writeRows.ts';

/** Lists whose rows are written, and counted. */
const COUNTED = [
  'cables',
  'closures',
  'plans',
  'assemblies',
  'traces',
  'splicerRecords',
  'setAside',
  'instrumentLog',
  'links',
  'splices',
  'tracePlaces',
  'evidence',
  'closing',
  'photos',
  'signed',
] as const satisfies readonly (keyof PackedDocument)[];

/** Imports a document that lies in memory whole. See {@link openImport}. */
export async function writeDocument(db: Db, sent: ProjectDocument): Promise<void> {
  const { document, files } = unpacked(sent);
  const write = await openImport(db, document, files, 'this process');
  await write();
}

/**
 * Imports a whole project, all or nothing: piece by piece, so that whoever records meanwhile hardly waits, and for
 * nobody to see until all of it is in.
 * @param owner names who writes, so that what is left of one that ended can be taken out
 * @returns what writes it, to be called at once; it throws a problem where the import fails or is stopped
 * @throws Problem 409 where the project is here already, 422 where the document contradicts itself
 */
export async function openImport(
  db: Db,
  sent: PackedDocument,
  files: DocumentFiles,
  owner: string,
): Promise<(isWaitedFor?: boolean) => Promise<void>> {
  const document = withoutStrays(sent);
  const { project } = document;
  await refuseKnown(db, project.id);
  const known = new Set((await allSchemes(db)).keys());
  const places = contradictionsOf(document, files, known, new Date().toISOString());
  if (places.length > 0)
    throw new Problem(
      422,
      say('contradiction', { place: places[0]!.place, detail: places[0]!.detail }),
      places,
    );
  await begin(db, document, owner);
  return async (isWaitedFor = true) => {
    try {
      await writeRows(db, document, files);
      await finishImport(db, project.id);
    } catch (error) {
      const isTold = isWaitedFor || error instanceof ImportStopped;
      await clearImport(db, project.id, isTold ? null : wordsOf(error));
      throw error;
    }
  };
}

const wordsOf = (error: unknown): string => {
  const problem = error instanceof Problem ? error : fromDatabase(error);
  const place = problem?.errors[0]?.place;
  if (problem && place) return `${place}: ${problem.message}`;
  return problem?.message ?? say('serverError').text;
};

/** The project itself, and what it brings for all. */
async function begin(db: Db, document: PackedDocument, owner: string): Promise<void> {
  const { project } = document;
  const builtIn = new Set(BUILT_IN_SCHEMES.map(({ id }) => id));
  const own = {
    scheme: document.schemes.filter(({ id }) => !builtIn.has(id)),
    hardware: document.hardware,
    instrument: document.instruments,
  };
  const total = COUNTED.reduce((sum, list) => sum + document[list].length, 0);
  await onImport(db, async (on) => {
    // What is here already stays as it is: other projects go by it.
    const added: AddedForAll = {
      scheme: await missingOf(on, schemes, own.scheme),
      hardware: await missingOf(on, hardware, own.hardware),
      instrument: await missingOf(on, instruments, own.instrument),
    };
    for (const record of own.scheme)
      await on.insert(schemes).values({ id: record.id, record }).onConflictDoNothing();
    for (const record of own.hardware) await putHardware(on, record, 'keep');
    for (const record of own.instrument) await putInstrument(on, record, 'keep');
    await on.insert(projects).values({ ...project, createdAt: new Date(project.createdAt) });
    await beginImport(on, { projectId: project.id, name: project.name, total, owner, added });
  });
}

/** Ids of records that are not here yet. */
async function missingOf(
  db: Db,
  table: typeof schemes | typeof hardware | typeof instruments,
  records: readonly { id: string }[],
): Promise<string[]> {
  if (records.length === 0) return [];
  const ids = records.map(({ id }) => id);
  const here = await db.select({ id: table.id }).from(table).where(inArray(table.id, ids));
  const known = new Set(here.map(({ id }) => id));
  return ids.filter((id) => !known.has(id));
}
