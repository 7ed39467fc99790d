import type { Table } from './csv.ts';

/**
 * Guesses which column of a file holds what by its titles, bare of case and marks; each column is taken once.
 * @param fits whether a bare title, such as `fibera`, may stand over a column
 * @returns an index from 0 for each column, or null where the file has none
 */
export function matchTitles<Column extends string>(
  columns: readonly Column[],
  header: readonly string[],
  fits: (column: Column, title: string) => boolean,
): Record<Column, number | null> {
  const bare = header.map((title) => title.toLowerCase().replace(/[^a-z0-9]/g, ''));
  const taken = new Set<number>();
  const match = {} as Record<Column, number | null>;
  for (const column of columns) {
    const index = bare.findIndex((title, at) => !taken.has(at) && fits(column, title));
    match[column] = index < 0 ? null : index;
    if (index >= 0) taken.add(index);
  }
  return match;
}

/** A table that begins at its titles, and the row they stand in, as a spreadsheet counts it from 1. */
export type TitledTable<T extends Table> = T & { titlesRow: number };

/** The titles are looked for in so many rows: a cover takes no more. */
const MOST_ROWS_ABOVE = 30;
/** So many titles that are known make a row of titles: a single word may stand in a cover too. */
const LEAST_TITLES = 3;

/**
 * Passes over the rows above the titles: a heading, a job number, a legend. The row in which most titles are
 * known is taken; where none has three of them, the first row is.
 * @param match which column of a row of titles holds what
 */
export function startAtTitles<T extends Table>(
  table: T,
  match: (header: readonly string[]) => Record<string, number | null>,
): TitledTable<T> {
  const all = [table.header, ...table.rows];
  let at = 0;
  let most = Math.max(LEAST_TITLES - 1, known(match(table.header)));
  // The last row cannot be the titles: there would be nothing below them.
  for (const [index, row] of all.slice(0, Math.min(MOST_ROWS_ABOVE, all.length - 1)).entries()) {
    const found = known(match(row));
    if (found > most) [at, most] = [index, found];
  }
  const header = all[at]!.map((title) => title.trim());
  return { ...table, header, rows: all.slice(at + 1), titlesRow: at + 1 };
}

/** Whether a row is one of titles: at least three of them are known. */
export const hasTitles = (
  header: readonly string[],
  match: (header: readonly string[]) => Record<string, number | null>,
): boolean => known(match(header)) >= LEAST_TITLES;

const known = (match: Record<string, number | null>): number =>
  Object.values(match).filter((column) => column !== null).length;
