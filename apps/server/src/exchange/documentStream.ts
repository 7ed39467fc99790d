import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { ProjectDocument } from '@cordel/core/document';
import { type Db, rowsOf } from '../db/client.ts';
import { closures, photos, splices, traces } from '../db/schema.ts';
import { wholePhoto } from '../closing/queries.ts';
import { spliceColumns } from '../closures/routes.ts';
import { evidencePages } from '../handover/pages.ts';
import { wholeTrace } from '../traces/queries.ts';
import { readFrame } from './document.ts';

/** Splices that are read at a time: who records in between waits for one page. */
const PAGE = 500;
/** Bytes that go out together. */
const PIECE = 64 * 1024;

/** A project's document as text, piece by piece: it never lies in memory whole, however large it is. */
async function* documentText(
  db: Db,
  projectId: string,
  frame: Awaited<ReturnType<typeof readFrame>>,
): AsyncGenerator<string> {
  yield JSON.stringify(frame).slice(0, -1);
  for (const [part, rows] of [
    ['splices', splicesOf(db, projectId)],
    ['evidence', evidenceOf(db, projectId)],
    ['traces', tracesOf(db, projectId)],
    ['photos', photosOf(db, projectId)],
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

async function* tracesOf(db: Db, projectId: string): AsyncGenerator<string> {
  const ids = await rowsOf<{ id: string }>(
    db,
    sql`select id from ${traces} where project_id = ${projectId} order by seq`,
  );
  for (const { id } of ids) yield JSON.stringify(await wholeTrace(db, id));
}

async function* photosOf(db: Db, projectId: string): AsyncGenerator<string> {
  const ids = await rowsOf<{ id: string }>(
    db,
    sql`select p.id from ${photos} p join ${closures} c on c.id = p.closure_id
        where c.project_id = ${projectId} order by p.seq`,
  );
  for (const { id } of ids) yield JSON.stringify(await wholePhoto(db, id));
}

/** The same as a stream of bytes, for an answer. */
export function documentStream(
  db: Db,
  projectId: string,
  frame: Awaited<ReturnType<typeof readFrame>>,
): ReadableStream<Uint8Array> {
  const text = documentText(db, projectId, frame);
  const encoder = new TextEncoder();
  return new ReadableStream({
    async pull(controller) {
      let piece = '';
      while (piece.length < PIECE) {
        const next = await text.next();
        if (next.done) break;
        piece += next.value;
      }
      if (piece.length > 0) controller.enqueue(encoder.encode(piece));
      else controller.close();
    },
    cancel: async () => void (await text.return(undefined)),
  });
}
