import { type SQL, asc, eq, sql } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { type Evidence, retirementsOf, groupBy } from '@cordel/core';
import { evidenceProblems as say } from '@cordel/text/server/evidence';
import type { Receipt } from '../accounts/receipts.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { attempts, inspections, readings, rulings, splices } from '../db/schema.ts';
import { problemAt } from '../http/problem.ts';
import { lockProject } from '../projects/queries.ts';
import { changedEntry } from './appendOnly.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';

export const KINDS = ['attempt', 'reading', 'inspection', 'ruling'] as const;

/** The table of each kind of evidence: they share what every entry has. */
const TABLES = { attempt: attempts, reading: readings, inspection: inspections, ruling: rulings };

/**
 * Evidence of one kind, with its numbers.
 * @param condition on `splices`, or on the id of the entries
 */
export async function evidenceOfKind(
  db: Db,
  kind: Evidence['type'],
  condition: (id: PgColumn) => SQL | undefined,
): Promise<{ seq: number; entry: Evidence }[]> {
  const table = TABLES[kind] as typeof attempts;
  const rows = await db
    .select({ row: table })
    .from(table)
    .innerJoin(splices, eq(splices.id, table.spliceId))
    .where(condition(table.id))
    .orderBy(asc(table.seq));
  return rows.map(({ row: { seq, at, ...rest } }) => ({
    seq,
    entry: { type: kind, at: at.toISOString(), ...rest } as Evidence,
  }));
}

/** All evidence of the splices that a condition on `splices` picks, in recorded order. */
export async function evidenceOf(db: Db, condition: SQL | undefined): Promise<Evidence[]> {
  const entries: { seq: number; entry: Evidence }[] = [];
  for (const kind of KINDS) entries.push(...(await evidenceOfKind(db, kind, () => condition)));
  return entries.sort((a, b) => a.seq - b.seq).map(({ entry }) => entry);
}

/** Groups evidence by splice, keeping its order. */
export const bySplice = (evidence: readonly Evidence[]): Map<string, Evidence[]> =>
  groupBy(evidence, ({ spliceId }) => spliceId);

/** Evidence with whom it comes from, where people sign in. */
export type Received = Evidence & {
  receipt?: Receipt | undefined;
  /** A reading that the server itself took from a trace. */
  measured?: true;
};

/** The functions of the database that append evidence of each kind, and insert it with numbers. */
const FUNCTIONS = {
  attempt: { append: sql`append_attempts`, insert: sql`insert_attempts` },
  reading: { append: sql`append_readings`, insert: sql`insert_readings` },
  inspection: {
    append: sql`append_inspections`,
    insert: sql`insert_inspections`,
  },
  ruling: { append: sql`append_rulings`, insert: sql`insert_rulings` },
};

/** Appends entries of one kind and marks their splices stale, in one statement. Gives how many were new. */
export async function append(
  db: Db,
  kind: Evidence['type'],
  entries: readonly Received[],
): Promise<number> {
  const sent = JSON.stringify(entries);
  const work = entries.some(({ receipt }) => receipt)
    ? sql`receive_entries(${kind}, ${sent}::jsonb)`
    : sql`${FUNCTIONS[kind].append}(${sent}::jsonb)`;
  const [row] = await rowsOf<{ fresh: number }>(db, sql`select ${work} as fresh`);
  return row?.fresh ?? 0;
}

/**
 * Records evidence, all of it or nothing. The same entry sent again changes nothing; another entry
 * under a known id is refused.
 * @returns how many entries were new
 */
export async function record(db: Db, entries: readonly Received[]): Promise<number> {
  refuseLater(entries);
  await refuseStrays(db, entries);
  const taken = takesOf(entries);
  const retired = [...retirementsOf(entries).keys()];
  if (entries.length === 1 && taken.length + retired.length === 0) return recordOn(db, entries);
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    if (retired.length > 0) await lockProjectsOf(on, retired);
    if (taken.length > 0) await refuseTaken(on, taken);
    const fresh = await recordOn(on, entries);
    if (retired.length > 0) await retire(on, retired);
    return fresh;
  });
}

/** Entries with their numbers, in the order in which they were recorded. */
export type Numbered = Evidence & { seq: number };

/**
 * Inserts entries of one kind that come with their numbers, and whose splices are judged by whoever inserts them. An
 * entry that is here already is an error of the database.
 */
export const insertNumbered = async (
  db: Db,
  kind: Evidence['type'],
  entries: readonly Numbered[],
): Promise<void> =>
  void (await rowsOf(db, sql`select ${FUNCTIONS[kind].insert}(${JSON.stringify(entries)}::jsonb)`));

/** Refuses entries that name others which come after them. */
function refuseLater(entries: readonly Evidence[]): void {
  const places = new Map(entries.map(({ id }, index) => [id, index]));
  entries.forEach((entry, index) => {
    const fields =
      entry.type === 'ruling' ? (['tryId'] as const) : (['tryId', 'supersedes'] as const);
    for (const field of fields) {
      const named = (entry as Partial<Record<typeof field, string | null>>)[field];
      if ((places.get(named ?? '') ?? -1) <= index) continue;
      throw problemAt(422, `/entries/${index}/${field}`, say('laterEntryNamed'));
    }
  });
}

/** Refuses entries that name a trace or a splicer's record of another project. */
export async function refuseStrays(db: Db, entries: readonly Evidence[]): Promise<void> {
  const naming = entries.flatMap((entry, index) => {
    const traceId = entry.type === 'reading' ? entry.traceId : null;
    const recordId = entry.type === 'attempt' ? entry.recordId : null;
    return traceId || recordId ? [{ index, spliceId: entry.spliceId, traceId, recordId }] : [];
  });
  if (naming.length === 0) return;
  const [stray] = await rowsOf<{ index: number; field: string }>(
    db,
    sql`select e.index, case when t.id is null then 'recordId' else 'traceId' end as field
        from jsonb_to_recordset(${JSON.stringify(naming)}::jsonb)
          as e(index int, "spliceId" uuid, "traceId" uuid, "recordId" uuid)
        join splices s on s.id = e."spliceId"
        left join traces t on t.id = e."traceId" and t.project_id <> s.project_id
        left join splicer_records r on r.id = e."recordId" and r.project_id <> s.project_id
        where t.id is not null or r.id is not null order by e.index limit 1`,
  );
  if (!stray) return;
  throw problemAt(422, `/entries/${stray.index}/${stray.field}`, say('otherProject'));
}

/** Whether entries change nothing but their own table: they take no splicer's record, and retire nothing. */
export const isPlain = (entries: readonly Evidence[]): boolean =>
  takesOf(entries).length + retirementsOf(entries).size === 0;

/** Whoever changes what is spliced in a project goes after whoever does so already. */
async function lockProjectsOf(db: Db, spliceIds: readonly string[]): Promise<void> {
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select distinct project_id as id from splices where id = any(${idArray(spliceIds)}::uuid[]) order by id`,
  );
  for (const { id } of rows) await lockProject(db, id);
}

/** Takes splices out of the plant: their fibers, slots and places in roll-ups are free. */
async function retire(db: Db, spliceIds: readonly string[]): Promise<void> {
  const changed = await rowsOf<{ projectId: string }>(
    db,
    sql`update splices set live = false where live and id = any(${idArray(spliceIds)}::uuid[])
        returning project_id as "projectId"`,
  );
  for (const projectId of new Set(changed.map((row) => row.projectId)))
    await renewCircuitOrigins(db, projectId);
}

type Take = { tryId: string; recordId: string; recordPosition: number; index: number };

/** What of splicers' records the entries take for new tries. */
const takesOf = (entries: readonly Evidence[]): Take[] =>
  entries.flatMap((entry, index) =>
    entry.type === 'attempt' && entry.recordId !== null && !entry.void
      ? [
          {
            tryId: entry.tryId,
            recordId: entry.recordId,
            recordPosition: entry.recordPosition!,
            index,
          },
        ]
      : [],
  );

/**
 * A record counts for one try only. Its row is locked, so that two phones cannot take it at once.
 * @throws Problem 409 where a try in force has it already
 */
async function refuseTaken(db: Db, takes: readonly Take[]): Promise<void> {
  const ids = idArray([...new Set(takes.map(({ recordId }) => recordId))]);
  await rowsOf(
    db,
    sql`select from splicer_records where id = any(${ids}::uuid[]) order by id for update`,
  );
  const inForce = await rowsOf<{ tryId: string; recordId: string; recordPosition: number }>(
    db,
    sql`select try_id as "tryId", record_id as "recordId", record_position as "recordPosition" from (
          select distinct on (a.try_id) a.* from attempts a
          where a.try_id in (select try_id from attempts where record_id = any(${ids}::uuid[]))
          order by a.try_id, a.seq desc) last
        where not void and record_id is not null`,
  );
  for (const { tryId, recordId, recordPosition, index } of takes) {
    const other = inForce.find(
      (held) =>
        held.recordId === recordId &&
        held.recordPosition === recordPosition &&
        held.tryId !== tryId,
    );
    if (!other) continue;
    throw problemAt(409, `/entries/${index}/recordId`, say('recordTaken'));
  }
}

/** Attempts go in first, for readings, inspections and rulings name them; their order is kept by numbers drawn before. */
async function recordOn(db: Db, entries: readonly Evidence[]): Promise<number> {
  const numbered = entries.length === 1 ? entries : await withSeq(db, entries);
  let fresh = 0;
  for (const kind of KINDS) {
    const own = numbered.filter((entry) => entry.type === kind);
    if (own.length > 0) fresh += await append(db, kind, own);
  }
  if (fresh < entries.length) await refuseChanged(db, entries);
  return fresh;
}

async function withSeq(db: Db, entries: readonly Evidence[]): Promise<Numbered[]> {
  const numbers = await drawNumbers(db, entries.length);
  return entries.map((entry, index) => ({ ...entry, seq: numbers[index]! }));
}

/** Draws numbers for entries that are to be recorded, in ascending order. */
export async function drawNumbers(db: Db, count: number): Promise<number[]> {
  const drawn = await rowsOf<{ seq: string }>(
    db,
    sql`with begun as materialized (select pg_current_xact_id())
        select nextval('evidence_seq') as seq from begun, generate_series(1, ${count})`,
  );
  return drawn.map(({ seq }) => Number(seq));
}

async function refuseChanged(db: Db, entries: readonly Evidence[]): Promise<void> {
  const ids = [...new Set(entries.map((entry) => entry.spliceId))];
  const known = new Map(
    (await evidenceOf(db, sql`${splices.id} = any(${idArray(ids)}::uuid[])`)).map((entry) => [
      entry.id,
      entry,
    ]),
  );
  for (const [index, entry] of entries.entries()) {
    const before = known.get(entry.id);
    if (!before || JSON.stringify(sorted(before)) !== JSON.stringify(sorted(entry))) {
      throw changedEntry(`/entries/${index}`, entry.id);
    }
  }
}

/** What a client says of an entry; its origin is the server's word. */
const sorted = (entry: Evidence) =>
  Object.entries(entry)
    .filter(([key]) => key !== 'origin' && key !== 'receipt')
    .sort(([a], [b]) => a.localeCompare(b));

/** Ids as a PostgreSQL array literal, so that any number of them is one parameter. */
export const idArray = (ids: readonly string[]): string => `{${ids.join(',')}}`;
