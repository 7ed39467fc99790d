import { inArray, sql } from 'drizzle-orm';
import {
  BUILT_IN_SCHEMES,
  type Closure,
  type Evidence,
  type Origin,
  type Splice,
  headsOf,
  retirementsOf,
} from '@cordel/core';
import type { FileList, PackedDocument, ProjectDocument } from '@cordel/core/document';
import { appendLog, putAside, putInstrument, receive } from '../../bench/queries.ts';
import { appendClosing, keepPhoto, keepSigned, photoRow } from '../../closing/queries.ts';
import { type Db, rowsOf } from '../../db/client.ts';
import {
  type AddedForAll,
  cables,
  closures,
  hardware,
  instruments,
  plans,
  projects,
  schemes,
} from '../../db/schema.ts';
import { KINDS, bySplice, drawNumbers, insertNumbered } from '../../evidence/queries.ts';
import { Problem, fromDatabase } from '../../http/problem.ts';
import { judgedOf } from '../../ledger/refresh.ts';
import { putAssemblies, putHardware } from '../../prep/queries.ts';
import { setArchived } from '../../removal/queries.ts';
import { allSchemes } from '../../schemes/queries.ts';
import { type JudgedSplice, insertJudged } from '../../splices/insert.ts';
import { sha256 } from '../../traces/facts.ts';
import { keepTrace, placeTraces, traceRow } from '../../traces/queries.ts';
import { clearImport } from './clear.ts';
import { contradictionsOf, withoutStrays } from './contradictions.ts';
import { type DocumentFiles, unpacked } from './files.ts';
import {
  ImportStopped,
  beginImport,
  finishImport,
  onImport,
  refuseKnown,
  tellImport,
} from './imports.ts';
import { Pieces } from './pieces.ts';

/** Numbers that are drawn at a time. */
const NUMBERS = 2000;
/**
 * After so many rows of a table, and after all, the database counts them anew: it keeps plans that it made when there
 * were none, such as how it looks up what an entry names.
 */
const COUNT_AFTER = 1000;

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
      `The document contradicts itself: ${places[0]!.place}: ${places[0]!.detail}`,
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
  return problem?.message ?? 'Something went wrong on the server; nothing of it is kept.';
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

async function writeRows(db: Db, document: PackedDocument, files: DocumentFiles): Promise<void> {
  const { project } = document;
  const pieces = new Pieces((done) => tellImport(db, project.id, done));
  const write = <Row>(rows: readonly Row[], work: (on: Db, some: Row[]) => Promise<unknown>) =>
    pieces.write(rows, (piece) => onImport(db, (on) => work(on, [...piece])));
  await write(document.cables, (on, some) => on.insert(cables).values(some));
  await write(parentsFirst(document.closures), (on, some) => on.insert(closures).values(some));
  await write(document.assemblies, putAssemblies);
  await write(document.plans, (on, some) => on.insert(plans).values(some));
  const ownClosures = new Set(document.closures.map(({ id }) => id));
  for (const id of document.archived)
    await setArchived(db, ownClosures.has(id) ? 'closure' : 'cable', id, true);
  const origins = new Map<string, Origin>(
    document.splicerRecords.map(({ id, origin }) => [id, origin]),
  );
  for (const [index, trace] of document.traces.entries()) {
    const bytes = await fileOf(files, 'traces', index, trace);
    const row = traceRow({ ...trace, bytes });
    await write([row], async (on) => origins.set(trace.id, (await keepTrace(on, row)).origin));
  }
  await write(document.splicerRecords, receive);
  await write(document.setAside, putAside);
  await write(document.instrumentLog, appendLog);
  const judge = judgeOf(document, origins);
  await pieces.write(document.splices, (piece) => {
    const rows = piece.map(judge);
    return onImport(db, (on) => insertJudged(on, rows));
  });
  if (document.splices.length > COUNT_AFTER) await count(db, 'splices');
  await write(document.tracePlaces, placeTraces);
  await writeEvidence(db, pieces, document.evidence);
  for (const [index, photo] of document.photos.entries()) {
    const row = photoRow(photo, await fileOf(files, 'photos', index, { id: photo.id }));
    await write([row], (on) => keepPhoto(on, row));
  }
  await write(document.closing, appendClosing);
  await write(document.signed, keepSigned);
  if (document.evidence.length > COUNT_AFTER)
    for (const table of EVIDENCE_TABLES) await count(db, table);
}

const EVIDENCE_TABLES = ['attempts', 'readings', 'rulings'] as const;

const count = (db: Db, table: 'splices' | (typeof EVIDENCE_TABLES)[number]): Promise<unknown> =>
  rowsOf(db, sql`analyze ${sql.identifier(table)}`);

/** Entries go in by splice, for they name only others of their splice; their numbers tell in which order they came. */
async function writeEvidence(db: Db, pieces: Pieces, evidence: readonly Evidence[]): Promise<void> {
  const numbers: number[] = [];
  while (numbers.length < evidence.length)
    numbers.push(...(await drawNumbers(db, Math.min(NUMBERS, evidence.length - numbers.length))));
  for (const kind of KINDS) {
    const places = new Map<string, number[]>();
    for (const [index, { type, spliceId }] of evidence.entries()) {
      if (type !== kind) continue;
      const own = places.get(spliceId);
      if (own) own.push(index);
      else places.set(spliceId, [index]);
    }
    const all = [...places.values()];
    for (const some of [all.slice(0, COUNT_AFTER), all.slice(COUNT_AFTER)]) {
      await pieces.write(
        some,
        (piece) => {
          const rows = piece.flat().map((at) => ({ ...evidence[at]!, seq: numbers[at]! }));
          return onImport(db, (on) => insertNumbered(on, kind, rows));
        },
        (own) => own.length,
      );
      if (some.length === COUNT_AFTER) await count(db, `${kind}s`);
    }
  }
}

/** A row's file. Throws a 422 problem where it is not what its digest was made of. */
async function fileOf(
  files: DocumentFiles,
  list: FileList,
  index: number,
  { id, digest }: { id: string; digest?: string },
): Promise<Uint8Array> {
  const bytes = await files.bytesOf(list, id);
  if (digest === undefined || sha256(bytes) === digest) return bytes;
  const detail = 'Its bytes are not those that its digest was made of.';
  throw new Problem(422, detail, [{ place: `/${list}/${index}/bytes`, detail }]);
}

/** What each splice's columns say, all of them. */
function judgeOf(
  { project, closures: own, splices, evidence }: PackedDocument,
  origins: ReadonlyMap<string, Origin>,
): (splice: Splice) => JudgedSplice {
  const entries = bySplice(evidence);
  const retired = retirementsOf(evidence);
  const ranks = ranksOf(own);
  const joints = splices
    .filter(({ id }) => !retired.has(id))
    .map((splice) => ({ ...splice, order: ranks.get(splice.closureId)! }))
    .sort((a, b) => a.order - b.order || a.tray - b.tray || a.slot - b.slot || a.fiberA - b.fiberA);
  const ends = headsOf(joints);
  const heads = new Map(joints.map(({ id }, index) => [id, ends[index]!]));
  return (splice) => {
    const head = heads.get(splice.id) ?? { cable: splice.cableA, fiber: splice.fiberA };
    const had = (entries.get(splice.id) ?? []).map((entry) => withOrigin(entry, origins));
    return {
      ...splice,
      ...judgedOf(splice.id, splice.method, had, project.limits),
      live: !retired.has(splice.id),
      headCable: head.cable,
      headFiber: head.fiber,
    };
  };
}

/** Where an entry comes from, as the database says it: what it names decides. */
function withOrigin<Entry extends Evidence>(
  entry: Entry,
  origins: ReadonlyMap<string, Origin>,
): Entry {
  if (entry.type === 'ruling') return entry;
  const named = entry.type === 'attempt' ? entry.recordId : entry.traceId;
  const own = entry.origin === 'simulated' ? entry.origin : 'typed';
  return { ...entry, origin: origins.get(named ?? '') ?? own };
}

/** Which closure comes how far along the route; smaller is nearer the head. */
function ranksOf(closures: readonly Closure[]): ReadonlyMap<string, number> {
  const far = ({ distance }: Closure): number => distance ?? Infinity;
  const ordered = closures.toSorted(
    (a, b) => compare(far(a), far(b)) || compare(a.ordinal, b.ordinal) || compare(a.name, b.name),
  );
  return new Map(ordered.map(({ id }, index) => [id, index]));
}

const compare = <Value extends number | string>(a: Value, b: Value): number =>
  a < b ? -1 : a > b ? 1 : 0;

/** A closure comes after the one that it branches off. */
function parentsFirst(list: readonly Closure[]): Closure[] {
  const byId = new Map(list.map((closure) => [closure.id, closure]));
  const ordered = new Set<Closure>();
  for (const closure of list) {
    const way: Closure[] = [];
    let at: Closure | undefined = closure;
    for (; at && !ordered.has(at); at = byId.get(at.branchOf ?? '')) way.push(at);
    for (const one of way.reverse()) ordered.add(one);
  }
  return [...ordered];
}
