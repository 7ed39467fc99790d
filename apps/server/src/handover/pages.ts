import { type SQL, and, asc, eq, sql } from 'drizzle-orm';
import { type Ruling, retirementsOf } from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { spliceRowColumns } from '../ledger/queries.ts';
import type { PackageSplice, RetiredSplice } from './messages.ts';

/**
 * Rows at a time: the embedded database does one thing after the other, and whoever records in between waits
 * for the page that is being read.
 */
const PAGE = 250;

/** All that a package says of a splice. */
export const packageColumns = {
  ...spliceRowColumns,
  extra: splices.extra,
  madeBy: splices.madeBy,
  madeAt: splices.madeAt,
  ruling: splices.ruling,
  figures: splices.figures,
};

/** Splices of a closure that live, in tray order, a page at a time. */
export async function* splicePages(db: Db, closureId: string): AsyncGenerator<PackageSplice[]> {
  let after: SQL | undefined;
  for (;;) {
    const rows = await db
      .select(packageColumns)
      .from(splices)
      .innerJoin(closures, eq(closures.id, splices.closureId))
      .where(and(eq(splices.closureId, closureId), eq(splices.live, true), after))
      .orderBy(asc(splices.tray), asc(splices.slot), asc(splices.fiberA), asc(splices.id))
      .limit(PAGE);
    if (rows.length > 0) yield rows;
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) return;
    after = sql`(${splices.tray}, ${splices.slot}, ${splices.fiberA}, ${splices.id}) > (${last.tray}, ${last.slot}, ${last.fiberA}, ${last.id})`;
  }
}

/** Splices of a closure that were removed, in tray order, with the words that say so. */
export async function retiredSplices(
  db: Db,
  closureId: string,
  rulings: readonly Ruling[],
): Promise<RetiredSplice[]> {
  const rows = await db
    .select(packageColumns)
    .from(splices)
    .innerJoin(closures, eq(closures.id, splices.closureId))
    .where(and(eq(splices.closureId, closureId), eq(splices.live, false)))
    .orderBy(asc(splices.tray), asc(splices.slot), asc(splices.fiberA), asc(splices.id));
  const words = retirementsOf(rulings);
  return rows.map((row) => ({ ...row, retirement: words.get(row.id)! }));
}

/** Entries of evidence as JSON, as many as are read at a time. */
export interface EvidencePage {
  json: string;
  rows: number;
}

const AT = sql`to_char(e.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
const HEAD = sql`'id', e.id, 'spliceId', e.splice_id, 'by', e.by, 'at', ${AT}, 'tryId', e.try_id`;
const CORRECTION = sql`'supersedes', e.supersedes, 'void', e.void, 'why', e.why`;

const KINDS = [
  [
    sql`attempts`,
    sql`'type', 'attempt', ${HEAD}, 'estimateMdb', e.estimate_mdb, 'recordId', e.record_id, 'recordPosition', e.record_position, 'origin', e.origin, ${CORRECTION}`,
  ],
  [
    sql`readings`,
    sql`'type', 'reading', ${HEAD}, 'grade', e.grade, 'direction', e.direction, 'wavelengthNm', e.wavelength_nm, 'lossMdb', e.loss_mdb, 'traceId', e.trace_id, 'origin', e.origin, ${CORRECTION}`,
  ],
  [
    sql`inspections`,
    sql`'type', 'inspection', ${HEAD}, 'face', e.face, 'light', e.light, 'marks', e.marks, 'cleanings', e.cleanings, 'photoId', e.photo_id, 'origin', e.origin, ${CORRECTION}`,
  ],
  [sql`rulings`, sql`'type', 'ruling', ${HEAD}, 'kind', e.kind, 'why', e.why`],
] as const;

/**
 * Evidence of the splices that a condition on `s` picks, in recorded order, a page at a time. The database
 * writes the JSON: reading cell by cell takes three times as long.
 */
export async function* evidencePages(db: Db, condition: SQL): AsyncGenerator<EvidencePage> {
  for (let after = 0; ;) {
    const kinds = KINDS.map(
      ([table, parts]) =>
        sql`(select e.seq, json_build_object(${parts}) as entry from ${table} e join splices s on s.id = e.splice_id
             where ${condition} and e.seq > ${after} order by e.seq limit ${PAGE})`,
    );
    const [page] = await rowsOf<{ json: string | null; rows: number; last: string | null }>(
      db,
      sql`select json_agg(entry order by seq)::text as json, count(*)::int as rows, max(seq) as last
          from (select seq, entry from (${sql.join(kinds, sql` union all `)}) one order by seq limit ${PAGE}) page`,
    );
    if (!page?.json) return;
    yield { json: page.json, rows: page.rows };
    if (page.rows < PAGE) return;
    after = Number(page.last);
  }
}

/** When the newest entry of a project or a closure was made. */
export async function newestEntry(
  db: Db,
  projectId: string,
  closureId: string | null,
): Promise<string> {
  const picked = closureId ? sql`s.closure_id = ${closureId}` : sql`s.project_id = ${projectId}`;
  const closing = closureId ? sql`e.closure_id = ${closureId}` : sql`c.project_id = ${projectId}`;
  const [row] = await rowsOf<{ at: string | Date }>(
    db,
    sql`select max(at) as at from (
          select max(e.at) as at from attempts e join splices s on s.id = e.splice_id where ${picked}
          union all select max(e.at) from readings e join splices s on s.id = e.splice_id where ${picked}
          union all select max(e.at) from inspections e join splices s on s.id = e.splice_id where ${picked}
          union all select max(e.at) from rulings e join splices s on s.id = e.splice_id where ${picked}
          union all select max((e.entry ->> 'at')::timestamptz) from closing_entries e join closures c on c.id = e.closure_id where ${closing}
          union all select max((e.entry ->> 'at')::timestamptz) from link_entries e where ${closureId === null} and e.project_id = ${projectId}
          union all select created_at from projects where id = ${projectId}) newest`,
  );
  return new Date(row!.at).toISOString();
}
