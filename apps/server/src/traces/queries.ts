import { asc, eq, sql } from 'drizzle-orm';
import type { KeptTrace, TracePlace } from '@cordel/core';
import { tracesProblems as say } from '@cordel/text/server/traces';
import { appendOnly } from '../evidence/appendOnly.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { tracePlaces, traces } from '../db/schema.ts';
import { notFound, problemAt } from '../http/problem.ts';
import { idArray } from '../evidence/queries.ts';
import { readTrace, sha256 } from './facts.ts';

/** A trace as lists show it: without its bytes and joints. */
export type TraceRow = Pick<
  typeof traces.$inferSelect,
  'id' | 'name' | 'digest' | 'receivedAt' | 'origin' | 'facts'
> & { place: TracePlace | null };

/**
 * Bytes go to and fro as base 64, turned in the database: the embedded one takes twenty times as long to
 * read them in their own form.
 */
const asBase64 = sql<string>`encode(${traces.bytes}, 'base64')`;
const fromBase64 = (bytes: Uint8Array) =>
  sql`decode(${Buffer.from(bytes).toString('base64')}, 'base64')`;
const toBytes = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'base64'));

/** A file that is imported. */
export interface NewTraceFile {
  id: string;
  projectId: string;
  name: string;
  bytes: Uint8Array;
  receivedAt?: string;
  /** What is known of where it comes from, besides what stands in the file. */
  origin?: KeptTrace['origin'];
}

/** A trace's row: the file is read, and its joints are found. Throws a 422 problem where it cannot be read. */
export const traceRow = ({ id, projectId, name, bytes, receivedAt, origin }: NewTraceFile) => ({
  id,
  projectId,
  name,
  digest: sha256(bytes),
  bytes: fromBase64(bytes),
  ...(receivedAt ? { receivedAt: new Date(receivedAt) } : {}),
  ...readTrace(name, bytes),
  ...(origin === 'simulated' ? { origin } : {}),
});

/**
 * Keeps a trace file as it came. The same content imported again is the trace that is here already.
 * @returns the id it is kept under, where it comes from, and whether it was here
 */
export async function keepTrace(
  db: Db,
  row: ReturnType<typeof traceRow>,
): Promise<{ id: string; origin: KeptTrace['origin']; known: boolean }> {
  const { projectId, digest } = row;
  const fresh = await appendOnly(db, traces, [row], {
    placeOf: () => '/id',
    // What was read in it may be read otherwise by now.
    told: ['projectId', 'digest'],
  });
  const [here] = await db
    .select({ id: traces.id, origin: traces.origin })
    .from(traces)
    .where(sql`${traces.projectId} = ${projectId} and ${traces.digest} = ${digest}`);
  return { ...here!, known: fresh.size === 0 };
}

/** The id of the trace of a project that has this content. */
export async function traceOf(db: Db, projectId: string, digest: string): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(
    db,
    sql`select id from traces where project_id = ${projectId} and digest = ${digest}`,
  );
  return row?.id ?? null;
}

/**
 * Refuses places of traces, or on cables, that the project does not have.
 * @param placeOf the path of an entry in the body
 * @param coming the trace that is only about to come
 */
export async function refuseStrayPlaces(
  db: Db,
  projectId: string,
  entries: readonly TracePlace[],
  placeOf: (index: number) => string,
  coming: string | null = null,
): Promise<void> {
  const named = entries.map(({ traceId, cableId }, index) => ({
    index,
    traceId: traceId === coming ? null : traceId,
    cableId,
  }));
  const [stray] = await rowsOf<{ index: number; field: string }>(
    db,
    sql`select e.index, case when e."traceId" is not null and t.id is null then 'traceId' else 'cableId' end as field
        from jsonb_to_recordset(${JSON.stringify(named)}::jsonb) as e(index int, "traceId" uuid, "cableId" uuid)
        left join traces t on t.id = e."traceId" and t.project_id = ${projectId}
        left join cables c on c.id = e."cableId" and c.project_id = ${projectId}
        where (e."traceId" is not null and t.id is null) or (e."cableId" is not null and c.id is null)
        order by e.index limit 1`,
  );
  if (!stray) return;
  throw problemAt(422, `${placeOf(stray.index)}/${stray.field}`, say('notInProject'));
}

/** Says where traces belong; the same entry sent again changes nothing. */
export async function placeTraces(db: Db, entries: readonly TracePlace[]): Promise<void> {
  const rows = entries.map((entry) => ({ ...entry, at: new Date(entry.at) }));
  await appendOnly(db, tracePlaces, rows);
}

const toPlace = ({ seq: _seq, at, ...rest }: typeof tracePlaces.$inferSelect): TracePlace => ({
  ...rest,
  at: at.toISOString(),
});

/** Every word on where a project's traces belong, in the order in which they were said. */
export async function allPlaces(db: Db, projectId: string): Promise<TracePlace[]> {
  const rows = await db
    .select({ row: tracePlaces })
    .from(tracePlaces)
    .innerJoin(traces, eq(traces.id, tracePlaces.traceId))
    .where(eq(traces.projectId, projectId))
    .orderBy(asc(tracePlaces.seq));
  return rows.map(({ row }) => toPlace(row));
}

/** A project's traces in the order in which they came in, each with where it belongs. */
export async function listTraces(db: Db, projectId: string): Promise<TraceRow[]> {
  const { id, name, digest, receivedAt, origin, facts } = traces;
  const rows = await db
    .select({ id, name, digest, receivedAt, origin, facts })
    .from(traces)
    .where(eq(traces.projectId, projectId))
    .orderBy(asc(traces.seq));
  // Of several words on one trace the last stands.
  const places = new Map((await allPlaces(db, projectId)).map((place) => [place.traceId, place]));
  // One on a cable of another project, which earlier versions took, counts as none.
  const own = new Set(
    (
      await rowsOf<{ id: string }>(db, sql`select id from cables where project_id = ${projectId}`)
    ).map((cable) => cable.id),
  );
  return rows.map((row) => {
    const place = places.get(row.id) ?? null;
    return { ...row, place: place?.cableId && !own.has(place.cableId) ? null : place };
  });
}

/** A trace's file, as it came. */
export async function traceFile(
  db: Db,
  traceId: string,
): Promise<{ name: string; bytes: Uint8Array }> {
  const [row] = await traceFiles(db, [traceId]);
  if (!row) throw notFound('trace');
  return row;
}

/** Files of several traces; those that are not there are left out. */
export async function traceFiles(
  db: Db,
  ids: readonly string[],
): Promise<{ id: string; name: string; bytes: Uint8Array }[]> {
  const rows = await db
    .select({ id: traces.id, name: traces.name, bytes: asBase64 })
    .from(traces)
    .where(sql`${traces.id} = any(${idArray(ids)}::uuid[])`);
  return rows.map((row) => ({ ...row, bytes: toBytes(row.bytes) }));
}

/** A trace with its file, as a document carries it. */
export async function wholeTrace(db: Db, traceId: string): Promise<KeptTrace> {
  const { id, projectId, name, digest, receivedAt, origin } = traces;
  const [row] = await db
    .select({ id, projectId, name, digest, receivedAt, origin, bytes: asBase64 })
    .from(traces)
    .where(eq(traces.id, traceId));
  if (!row) throw notFound('trace');
  return {
    ...row,
    receivedAt: row.receivedAt.toISOString(),
    // The database breaks its lines.
    bytes: row.bytes.replaceAll('\n', ''),
  };
}

/** The same where its file lies beside the document. */
export async function traceAlone(db: Db, traceId: string): Promise<Omit<KeptTrace, 'bytes'>> {
  const { id, projectId, name, digest, receivedAt, origin } = traces;
  const [row] = await db
    .select({ id, projectId, name, digest, receivedAt, origin })
    .from(traces)
    .where(eq(traces.id, traceId));
  if (!row) throw notFound('trace');
  return { ...row, receivedAt: row.receivedAt.toISOString() };
}

/** Whether a project has any trace. */
export async function hasTraces(db: Db, projectId: string): Promise<boolean> {
  const rows = await rowsOf(db, sql`select 1 from traces where project_id = ${projectId} limit 1`);
  return rows.length > 0;
}
