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
