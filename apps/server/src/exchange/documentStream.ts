import { Readable } from 'node:stream';
import { type SQL, and, asc, eq, gt, sql } from 'drizzle-orm';
import type { FileList, ProjectDocument } from '@cordel/core/document';
import { type Db, rowsOf } from '../db/client.ts';
import { closures, photos, splices, traces } from '../db/schema.ts';
import { photoAlone, wholePhoto } from '../closing/queries.ts';
import { spliceColumns } from '../splices/columns.ts';
import { evidencePages } from '../handover/pages.ts';
import { traceAlone, wholeTrace } from '../traces/queries.ts';
import type { readFrame } from './frame.ts';

/** Splices that are read at a time: who records in between waits for one page. */
const PAGE = 500;
/** Bytes that go out together. */
const PIECE = 64 * 1024;

/**
 * A project's document as text, piece by piece: it never lies in memory whole, however large it is.
 * @param ids of its traces and photos
 * @param bytes of those: `within` the text as base 64, or in files `beside` it
 */
export async function* documentText(
  db: Db,
  projectId: string,
  frame: Awaited<ReturnType<typeof readFrame>>,
  ids: FileIds,
  bytes: 'within' | 'beside',
): AsyncGenerator<string> {
  yield JSON.stringify(frame).slice(0, -1);
  for (const [part, rows] of [
    ['splices', splicesOf(db, projectId)],
    ['evidence', evidenceOf(db, projectId)],
    ['traces', rowsBy(ids.traces, (id) => (bytes === 'within' ? wholeTrace : traceAlone)(db, id))],
    ['photos', rowsBy(ids.photos, (id) => (bytes === 'within' ? wholePhoto : photoAlone)(db, id))],
  ] as const satisfies readonly [keyof ProjectDocument, AsyncGenerator<string>][]) {
    yield `,"${part}":[`;
    let isFirst = true;
    for await (const row of rows) {
      yield isFirst ? row : `,${row}`;
      isFirst = false;
    }
    yield ']';
  }
  yield '}';
}

async function* splicesOf(db: Db, projectId: string): AsyncGenerator<string> {
  for (let after: string | null = null; ;) {
    const rows: { id: string }[] = await db
      .select(spliceColumns)
      .from(splices)
      .where(and(eq(splices.projectId, projectId), after ? gt(splices.id, after) : undefined))
      .orderBy(asc(splices.id))
      .limit(PAGE);
    for (const row of rows) yield JSON.stringify(row);
    if (rows.length < PAGE) return;
    after = rows.at(-1)!.id;
  }
}

async function* evidenceOf(db: Db, projectId: string): AsyncGenerator<string> {
  for await (const { json } of evidencePages(db, sql`s.project_id = ${projectId}`))
    for (const entry of JSON.parse(json) as unknown[]) yield JSON.stringify(entry);
}

async function* rowsBy(
  ids: readonly string[],
  read: (id: string) => Promise<unknown>,
): AsyncGenerator<string> {
  for (const id of ids) yield JSON.stringify(await read(id));
}

/** Ids of the rows of a project that have a file, in the order in which they came in. */
export type FileIds = Record<FileList, string[]>;

export async function fileIds(db: Db, projectId: string): Promise<FileIds> {
  const idsOf = async (query: SQL) => (await rowsOf<{ id: string }>(db, query)).map(({ id }) => id);
  return {
    traces: await idsOf(sql`select id from ${traces} where project_id = ${projectId} order by seq`),
    photos: await idsOf(
      sql`select p.id from ${photos} p join ${closures} c on c.id = p.closure_id
          where c.project_id = ${projectId} order by p.seq`,
    ),
  };
}

/** Text put together to pieces that are worth being sent. */
export async function* piecesOf(text: AsyncGenerator<string>): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let piece = '';
  for await (const part of text) {
    piece += part;
    if (piece.length < PIECE) continue;
    yield encoder.encode(piece);
    piece = '';
  }
  if (piece.length > 0) yield encoder.encode(piece);
}

/** The same as a stream of bytes, for an answer. */
export async function documentStream(
  db: Db,
  projectId: string,
  frame: Awaited<ReturnType<typeof readFrame>>,
): Promise<ReadableStream<Uint8Array>> {
  const ids = await fileIds(db, projectId);
  return streamOf(piecesOf(documentText(db, projectId, frame, ids, 'within')));
}

export const streamOf = (pieces: AsyncIterable<Uint8Array>): ReadableStream<Uint8Array> =>
  Readable.toWeb(Readable.from(pieces)) as ReadableStream<Uint8Array>;
