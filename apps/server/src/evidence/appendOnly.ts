import { SQL, inArray } from 'drizzle-orm';
import type { PgColumn, PgInsertValue, PgTable } from 'drizzle-orm/pg-core';
import { canonicalText } from '@cordel/core/close';
import { evidenceProblems as say } from '@cordel/text/server/evidence';
import type { Db } from '../db/client.ts';
import { type Problem, problemAt } from '../http/problem.ts';

/** A table of evidence: rows are added to it, and never changed. */
type EvidenceTable = PgTable & { id: PgColumn };

type Row<Table extends EvidenceTable> = PgInsertValue<Table> & { id: string };

interface AppendOptions<Table extends EvidenceTable> {
  /** The path of a row in what was sent. */
  placeOf?: (index: number) => string;
  /** Columns that make a row the same one; by default all but those that the database computes. */
  told?: readonly (keyof Table['_']['columns'] & string)[];
}

/** What was done is never changed: another content under a known id is refused. */
export const changedEntry = (place: string, id: string): Problem =>
  problemAt(409, place, say('entryChanged', { id }));

/**
 * Appends rows of evidence, in their order. The same row sent again changes nothing, and so does one that is here
 * under another id by what makes it one of a kind: the same run of a splicer, the same file.
 * @returns ids of the rows that were new; all are kept, or none
 * @throws Problem 409 at the first row under whose id something else is recorded
 */
export async function appendOnly<Table extends EvidenceTable>(
  db: Db,
  table: Table,
  rows: readonly Row<Table>[],
  { placeOf = (index) => `/entries/${index}`, told }: AppendOptions<Table> = {},
): Promise<ReadonlySet<string>> {
  if (rows.length === 0) return new Set();
  return db.transaction(async (tx) => {
    const added = await tx
      .insert(table)
      .values([...rows])
      .onConflictDoNothing()
      .returning({ id: table.id });
    if (added.length < rows.length) {
      const names = told ?? Object.keys(rows[0]!).filter((name) => !isComputed(rows[0]!, name));
      const index = firstChanged(rows, await heldRows(tx, table, rows, names), names);
      if (index >= 0) throw changedEntry(placeOf(index), rows[index]!.id);
    }
    return new Set(added.map(({ id }) => id as string));
  });
}

/** What is held under the ids of rows, by id. */
async function heldRows(
  db: Pick<Db, 'select'>,
  table: EvidenceTable,
  rows: readonly { id: string }[],
  names: readonly string[],
): Promise<ReadonlyMap<string, object>> {
  const columns = table as unknown as Record<string, PgColumn>;
  const held = await db
    .select(Object.fromEntries(['id', ...names].map((name) => [name, columns[name]!])))
    .from(table as PgTable)
    .where(
      inArray(
        table.id,
        rows.map(({ id }) => id),
      ),
    );
  return new Map(held.map((row) => [row.id as string, row]));
}

/** The first row under whose id something else is held; -1 where there is none. */
const firstChanged = (
  rows: readonly { id: string }[],
  held: ReadonlyMap<string, object>,
  names: readonly string[],
): number =>
  rows.findIndex((row) => {
    const before = held.get(row.id);
    return before && names.some((name) => isOther(valueOf(row, name), valueOf(before, name)));
  });

const valueOf = (row: object, name: string): unknown => (row as Record<string, unknown>)[name];

/** Bytes, which the database decodes; a digest beside them tells them apart. */
const isComputed = (row: object, name: string): boolean => valueOf(row, name) instanceof SQL;

/** What is not told is whatever it is. */
const isOther = (told: unknown, held: unknown): boolean =>
  told !== undefined && textOf(told) !== textOf(held);

const textOf = (value: unknown): string =>
  canonicalText(value instanceof Date ? value.toISOString() : (value ?? null));
