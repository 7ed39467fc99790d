import type { Evidence, Splice } from '@cordel/core';
import { eq, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { droppedSplices, undecidedEvidence } from '../db/schema.ts';
import { type Received, idArray, record } from '../evidence/queries.ts';
import { changedEntry } from '../evidence/appendOnly.ts';

/** Keeps which splices a plan dropped: somebody who has not heard of it may be making them. */
export async function saveDropped(
  db: Db,
  dropped: readonly Splice[],
  by: string | null,
): Promise<void> {
  if (dropped.length === 0) return;
  const at = new Date();
  await db
    .insert(droppedSplices)
    .values(
      dropped.map((splice) => ({
        id: splice.id,
        projectId: splice.projectId,
        closureId: splice.closureId,
        splice,
        by,
        at,
      })),
    )
    .onConflictDoUpdate({
      target: droppedSplices.id,
      set: { splice: sql`excluded.splice`, by, at },
    });
}

/** The splices among some that a plan dropped, whose closure and cables are there still. */
export async function droppedAmong(
  db: Db,
  ids: readonly string[],
): Promise<{ id: string; projectId: string }[]> {
  return rowsOf(
    db,
    sql`select d.id, d.project_id as "projectId" from dropped_splices d
        join closures c on c.id = d.closure_id
        join cables a on a.id = (d.splice->>'cableA')::uuid join cables b on b.id = (d.splice->>'cableB')::uuid
        where d.id = any(${idArray(ids)}::uuid[]) and not exists (select from splices s where s.id = d.id)`,
  );
}

/**
 * Records evidence; what is of splices that a plan has dropped meanwhile is kept until somebody decides.
 * @param recordKnown records evidence of splices that are there
 * @returns how many entries were new
 */
export async function recordOrDefer(
  db: Db,
  entries: readonly Received[],
  recordKnown: (entries: Received[]) => Promise<number>,
): Promise<number> {
  try {
    return await recordKnown([...entries]);
  } catch (error) {
    const spliceIds = entries.map(({ spliceId }) => spliceId);
    const dropped = new Set((await droppedAmong(db, spliceIds)).map(({ id }) => id));
    if (dropped.size === 0) throw error;
    return db.transaction(async (tx) => {
      const on = tx as unknown as Db;
      const known = entries.filter(({ spliceId }) => !dropped.has(spliceId));
      const fresh = known.length > 0 ? await record(on, known) : 0;
      return fresh + (await defer(on, entries, dropped));
    });
  }
}

async function defer(
  db: Db,
  entries: readonly Received[],
  dropped: ReadonlySet<string>,
): Promise<number> {
  let fresh = 0;
  for (const [index, entry] of entries.entries()) {
    if (!dropped.has(entry.spliceId)) continue;
    const { id, spliceId } = entry;
    const [held] = await db.select().from(undecidedEvidence).where(eq(undecidedEvidence.id, id));
    if (held && !isSame(held.entry, entry)) throw changedEntry(`/entries/${index}`, id);
    if (held) continue;
    await db.insert(undecidedEvidence).values({ id, spliceId, entry });
    fresh++;
  }
  return fresh;
}

const toldOf = ({ receipt: _receipt, ...entry }: Received): string =>
  JSON.stringify(Object.entries(entry).sort(([a], [b]) => (a < b ? -1 : 1)));

const isSame = (a: Received, b: Received): boolean => toldOf(a) === toldOf(b);

/** Ids under which splices were dropped at a closure, by the ends that they joined. */
export async function droppedIds(
  db: Db,
  closureId: string,
  endsOf: (splice: Splice) => string,
): Promise<ReadonlyMap<string, string>> {
  const rows = await rowsOf<{ splice: Splice }>(
    db,
    sql`select d.splice from dropped_splices d where d.closure_id = ${closureId}::uuid
          and not exists (select from splices s where s.id = d.id)`,
  );
  return new Map(rows.map(({ splice }) => [endsOf(splice), splice.id]));
}

/** Records what was kept of splices that are there again. */
export async function recordDeferred(db: Db, spliceIds: readonly string[]): Promise<void> {
  const rows = await rowsOf<{ entry: Received }>(
    db,
    sql`delete from undecided_evidence where splice_id = any(${idArray(spliceIds)}::uuid[])
        returning seq, entry`,
  );
  if (rows.length > 0) await record(db, rows.map(({ entry }) => entry).sort(inTime));
}

const inTime = (a: Evidence, b: Evidence): number =>
  Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1);
