import { type ChainedKind, entryDigest } from '@cordel/core/close';
import { type SQL, inArray, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { closingEntries, instrumentLog, setAsides, tracePlaces } from '../db/schema.ts';
import { evidenceOfKind } from '../evidence/queries.ts';
import { linksById } from '../links/queries.ts';

/** An entry of a project that is in no chain yet. */
export interface Unchained {
  kind: ChainedKind;
  entryId: string;
}

const ofSplice = (kind: ChainedKind, table: SQL, projectId: string) =>
  sql`select ${kind} as kind, e.id, e.seq from ${table} e
      join splices s on s.id = e.splice_id where s.project_id = ${projectId}::uuid`;

const ofClosure = (kind: ChainedKind, table: SQL, projectId: string) =>
  sql`select ${kind} as kind, e.id, e.seq from ${table} e
      join closures c on c.id = e.closure_id where c.project_id = ${projectId}::uuid`;

const ofProject = (kind: ChainedKind, table: SQL, projectId: string) =>
  sql`select ${kind} as kind, e.id, e.seq from ${table} e where e.project_id = ${projectId}::uuid`;

/** Every entry of a project, by kind. */
const allEntries = (projectId: string): SQL =>
  sql.join(
    [
      ofSplice('attempt', sql`attempts`, projectId),
      ofSplice('reading', sql`readings`, projectId),
      ofSplice('inspection', sql`inspections`, projectId),
      ofSplice('ruling', sql`rulings`, projectId),
      ofClosure('closing', sql`closing_entries`, projectId),
      ofClosure('photo', sql`photos`, projectId),
      ofProject('trace', sql`traces`, projectId),
      ofProject('instrumentLog', sql`instrument_log`, projectId),
      ofProject('link', sql`link_entries`, projectId),
      sql`select 'tracePlace' as kind, e.id, e.seq from trace_places e
          join traces t on t.id = e.trace_id where t.project_id = ${projectId}::uuid`,
      sql`select 'setAside' as kind, e.id, e.seq from set_asides e
          join splicer_records r on r.id = e.record_id where r.project_id = ${projectId}::uuid`,
    ],
    sql` union all `,
  );

/** Entries that are in no chain yet, in the order in which they were recorded. */
export const unchained = (db: Db, projectId: string, limit: number): Promise<Unchained[]> =>
  rowsOf<Unchained>(
    db,
    sql`select e.kind, e.id as "entryId" from (${allEntries(projectId)}) e
        where not exists (select from chain c where c.entry_id = e.id)
        order by e.seq limit ${limit}`,
  );

interface Identified {
  id: string;
}

const without = <Row extends { seq: number; at: Date }>({ seq: _seq, at, ...rest }: Row) => ({
  ...rest,
  at: at.toISOString(),
});

/** By the id of the row: that of the entry may be written in capitals. */
const digestedRow = ({ id, entry }: { id: string; entry: object }): [string, string] => [
  id,
  entryDigest(entry),
];

/** Digests of entries of one kind as they are now, by id. An id that is not there has none. */
async function digestsOfKind(
  db: Db,
  kind: ChainedKind,
  ids: readonly string[],
): Promise<[id: string, digest: string][]> {
  const digested = (entries: readonly Identified[]) =>
    entries.map((entry): [string, string] => [entry.id, entryDigest(entry)]);
  switch (kind) {
    case 'attempt':
    case 'reading':
    case 'inspection':
    case 'ruling': {
      const rows = await evidenceOfKind(db, kind, (id) => inArray(id, [...ids]));
      return digested(rows.map(({ entry }) => entry));
    }
    case 'closing': {
      const rows = await db
        .select({ id: closingEntries.id, entry: closingEntries.entry })
        .from(closingEntries)
        .where(inArray(closingEntries.id, [...ids]));
      return rows.map(digestedRow);
    }
    case 'instrumentLog': {
      const rows = await db
        .select({ id: instrumentLog.id, entry: instrumentLog.entry })
        .from(instrumentLog)
        .where(inArray(instrumentLog.id, [...ids]));
      return rows.map(digestedRow);
    }
    case 'link':
      return [...(await linksById(db, ids))].map(([id, entry]) => digestedRow({ id, entry }));
    case 'tracePlace':
      return digested(
        (
          await db
            .select()
            .from(tracePlaces)
            .where(inArray(tracePlaces.id, [...ids]))
        ).map(without),
      );
    case 'setAside':
      return digested(
        (
          await db
            .select()
            .from(setAsides)
            .where(inArray(setAsides.id, [...ids]))
        ).map(without),
      );
    // Of a file the bytes count, and not what the table says of them.
    case 'photo':
      return fileDigests(db, sql`photos`, ids);
    case 'trace':
      return fileDigests(db, sql`traces`, ids);
  }
}

const fileDigests = async (
  db: Db,
  table: SQL,
  ids: readonly string[],
): Promise<[string, string][]> =>
  (
    await rowsOf<{ id: string; digest: string }>(
      db,
      sql`select id, encode(sha256(bytes), 'hex') as digest from ${table}
          where id = any(${`{${ids.join(',')}}`}::uuid[])`,
    )
  ).map(({ id, digest }) => [id, digest]);

/** Digests of entries as they are now, by id. */
export async function digestsOf(
  db: Db,
  entries: readonly Unchained[],
): Promise<ReadonlyMap<string, string>> {
  const byKind = new Map<ChainedKind, string[]>();
  for (const { kind, entryId } of entries) byKind.set(kind, [...(byKind.get(kind) ?? []), entryId]);
  const found = new Map<string, string>();
  for (const [kind, ids] of byKind)
    for (const [id, digest] of await digestsOfKind(db, kind, ids)) found.set(id, digest);
  return found;
}
