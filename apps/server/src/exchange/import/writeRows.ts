import { sql } from 'drizzle-orm';
import type { Closure, Evidence, Origin } from '@cordel/core';
import type { FileList, PackedDocument } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import { appendLog, putAside, receive } from '../../bench/queries.ts';
import { appendClosing, keepPhoto, keepSigned, photoRow } from '../../closing/queries.ts';
import { type Db, rowsOf } from '../../db/client.ts';
import { cables, closures, plans } from '../../db/schema.ts';
import { KINDS, drawNumbers, insertNumbered } from '../../evidence/queries.ts';
import { Problem, problemAt } from '../../http/problem.ts';
import { appendLinks } from '../../links/queries.ts';
import { putAssemblies } from '../../prep/queries.ts';
import { setArchived } from '../../removal/queries.ts';
import { insertJudged } from '../../splices/insert.ts';
import { sha256 } from '../../traces/facts.ts';
import { keepTrace, placeTraces, traceRow } from '../../traces/queries.ts';
import type { DocumentFiles } from './files.ts';
import { onImport, tellImport } from './imports.ts';
import { judgeOf } from './judge.ts';
import { Pieces } from './pieces.ts';

/** Numbers that are drawn at a time. */
const NUMBERS = 2000;
/**
 * After so many rows of a table, and after all, the database counts them anew: it keeps plans that it made when there
 * were none, such as how it looks up what an entry names.
 */
const COUNT_AFTER = 1000;

/** Writes all that a document has but the project itself, piece by piece. */
export async function writeRows(
  db: Db,
  document: PackedDocument,
  files: DocumentFiles,
): Promise<void> {
  const { project } = document;
  const pieces = new Pieces((done) => tellImport(db, project.id, done));
  const write = <Row>(rows: readonly Row[], work: (on: Db, some: Row[]) => Promise<unknown>) =>
    pieces.write(rows, (piece) => onImport(db, (on) => work(on, [...piece])));
  await write(parentsFirst(document.closures), (on, some) => on.insert(closures).values(some));
  await write(document.cables, (on, some) => on.insert(cables).values(some));
  await write(document.assemblies, putAssemblies);
  await write(document.plans, (on, some) => on.insert(plans).values(some));
  const ownClosures = new Set(document.closures.map(({ id }) => id));
  for (const id of document.archived)
    await setArchived(db, ownClosures.has(id) ? 'closure' : 'cable', id, true);
  const origins = new Map<string, Origin>(
    document.splicerRecords.map(({ id, origin }) => [id, origin]),
  );
  for (const [index, trace] of document.traces.entries()) {
    const row = await atFile('traces', index, async () => {
      const bytes = await files.bytesOf('traces', trace.id);
      if (sha256(bytes) !== trace.digest)
        throw new Problem(422, say('fileDamaged', { file: trace.name }));
      return traceRow({ ...trace, bytes });
    });
    await write([row], async (on) => origins.set(trace.id, (await keepTrace(on, row)).origin));
  }
  await write(document.splicerRecords, receive);
  await write(document.setAside, (on, entries) => putAside(on, document.project.id, entries));
  await write(document.instrumentLog, appendLog);
  await write(document.links, appendLinks);
  const judge = judgeOf(document, origins);
  await pieces.write(document.splices, (piece) => {
    const rows = piece.map(judge);
    return onImport(db, (on) => insertJudged(on, rows));
  });
  if (document.splices.length > COUNT_AFTER) await count(db, 'splices');
  await write(document.tracePlaces, placeTraces);
  await writeEvidence(db, pieces, document.evidence);
  for (const [index, photo] of document.photos.entries()) {
    const row = await atFile('photos', index, async () =>
      photoRow(photo, await files.bytesOf('photos', photo.id)),
    );
    await write([row], (on) => keepPhoto(on, row));
  }
  await write(document.closing, appendClosing);
  await write(document.signed, keepSigned);
  if (document.evidence.length > COUNT_AFTER)
    for (const table of EVIDENCE_TABLES) await count(db, table);
}

const EVIDENCE_TABLES = ['attempts', 'readings', 'inspections', 'rulings'] as const;

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

/** What is wrong with a file is said at the row that has it. */
async function atFile<Row>(list: FileList, index: number, read: () => Promise<Row>): Promise<Row> {
  try {
    return await read();
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    throw problemAt(error.status, `/${list}/${index}/bytes`, error.told);
  }
}

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
