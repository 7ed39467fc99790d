import { and, inArray, sql } from 'drizzle-orm';
import type { Evidence } from '@cordel/core';
import { toReceived } from '../bench/queries.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { closingEntries, splicerRecords, splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { linksById } from '../links/queries.ts';
import type { Change, Named } from './change.ts';
import { type ChangeCursor, cursorOf } from '@cordel/core';

/** Changes in one answer at most. */
const MOST = 500;
/** So many changes are kept: who has been away for longer asks for everything again. */
const KEPT = 100_000;
/** Stands for changes that are not kept any more. */
export const PRUNED = 'pruned';

interface Row {
  xact: string;
  seq: string;
  kind: string;
  key: string;
}

/** What was written after a cursor, in order. */
export interface Changes {
  /** After the last of them. */
  cursor: ChangeCursor;
  changes: Change[];
  /** Some of what came after the cursor is not kept any more: everything has to be asked for again. */
  reset: boolean;
  /** There are more right behind. */
  more: boolean;
  /** A write is under way that may turn out to belong before others that are done: they wait for it. */
  held: boolean;
}

/** The place behind all that is done by now, and before all that is still under way. */
export async function cursorNow(db: Db): Promise<ChangeCursor> {
  const [row] = await rowsOf<{ xact: string }>(
    db,
    sql`select pg_snapshot_xmin(pg_current_snapshot())::text as xact`,
  );
  return { xact: BigInt(row!.xact), seq: 0 };
}

/** What was written in a project, and for all of them, after a cursor. */
export async function changesAfter(
  db: Db,
  projectId: string,
  after: ChangeCursor,
): Promise<Changes> {
  const found = await rowsOf<Row & { open: boolean }>(
    db,
    sql`select xact::text, seq::text, kind, key,
          xact >= pg_snapshot_xmin(pg_current_snapshot()) as open
        from changes
        where (xact, seq) > (${String(after.xact)}::xid8, ${after.seq})
          and (project_id = ${projectId} or project_id is null)
        order by changes.xact, changes.seq
        limit ${MOST}`,
  );
  if (found.length === 0 && (await isAhead(db, after)))
    return { cursor: await cursorNow(db), changes: [], reset: true, more: false, held: false };
  const rows = found.filter(({ open }) => !open);
  const cursor = rows.length > 0 ? cursorOf(rows.at(-1)!) : after;
  return {
    cursor,
    changes: await withRecords(db, rows),
    reset: rows.some(({ kind }) => kind === PRUNED),
    more: rows.length === MOST,
    held: rows.length < found.length,
  };
}

/** Whether a cursor lies ahead of all that was ever written here: it is of a database that was replaced by a backup. */
async function isAhead(db: Db, { xact }: ChangeCursor): Promise<boolean> {
  const [row] = await rowsOf<{ next: string }>(
    db,
    sql`select pg_snapshot_xmax(pg_current_snapshot())::text as next`,
  );
  return xact > BigInt(row!.next);
}

/** Changes with the records of what is appended, so that nobody has to ask for them. */
async function withRecords(db: Db, rows: readonly Row[]): Promise<Change[]> {
  const idsOf = (kind: string) => rows.filter((row) => row.kind === kind).map(({ key }) => key);
  const evidence = new Map(
    (await evidenceById(db, idsOf('evidence'))).map((entry) => [entry.id, entry]),
  );
  const closing = await closingById(db, idsOf('closing'));
  const links = await linksById(db, idsOf('link'));
  const records = await recordsById(db, idsOf('splicer-record'));
  const named = new Set<string>();
  return rows.flatMap(({ xact, kind, key }): Change[] => {
    switch (kind) {
      case PRUNED:
        return [];
      case 'evidence': {
        const entry = evidence.get(key);
        return entry ? [{ kind, entry }] : [];
      }
      case 'closing': {
        const entry = closing.get(key);
        return entry ? [{ kind, entry }] : [];
      }
      case 'link': {
        const entry = links.get(key);
        return entry ? [{ kind, entry }] : [];
      }
      case 'splicer-record': {
        const record = records.get(key);
        return record ? [{ kind, record }] : [];
      }
      default:
        // A write may touch a record by several statements.
        if (named.has(`${xact} ${kind} ${key}`)) return [];
        named.add(`${xact} ${kind} ${key}`);
        return [{ kind: kind as Named['kind'], id: key }];
    }
  });
}

async function evidenceById(db: Db, ids: readonly string[]): Promise<Evidence[]> {
  if (ids.length === 0) return [];
  const list = sql.join(
    ids.map((id) => sql`${id}::uuid`),
    sql`, `,
  );
  const ofIds = sql`${splices.id} in (
    select splice_id from attempts where id in (${list})
    union select splice_id from readings where id in (${list})
    union select splice_id from inspections where id in (${list})
    union select splice_id from rulings where id in (${list}))`;
  const wanted = new Set(ids);
  return (await evidenceOf(db, and(ofIds))).filter(({ id }) => wanted.has(id));
}

async function closingById(db: Db, ids: string[]) {
  if (ids.length === 0) return new Map<string, never>();
  const rows = await db
    .select({ entry: closingEntries.entry })
    .from(closingEntries)
    .where(inArray(closingEntries.id, ids));
  return new Map(rows.map(({ entry }) => [entry.id, entry]));
}

async function recordsById(db: Db, ids: string[]) {
  if (ids.length === 0) return new Map<string, never>();
  const rows = await db.select().from(splicerRecords).where(inArray(splicerRecords.id, ids));
  return new Map(rows.map((row) => [row.id, toReceived(row)]));
}

/** Lets go of the oldest changes; the last of them stays and says so. */
export async function pruneChanges(db: Db, kept = KEPT): Promise<void> {
  const [last] = await rowsOf<Row>(
    db,
    sql`select xact::text, seq::text, kind, key from changes order by changes.xact desc, changes.seq desc offset ${kept} limit 1`,
  );
  if (!last) return;
  const place = sql`(${last.xact}::xid8, ${last.seq}::bigint)`;
  await db.transaction(async (tx) => {
    await tx.execute(sql`delete from changes where (xact, seq) < ${place}`);
    await tx.execute(
      sql`update changes set kind = ${PRUNED}, project_id = null where (xact, seq) = ${place}`,
    );
  });
}
