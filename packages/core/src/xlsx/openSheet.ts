import { type Parsed, parsed } from '../record/parsed.ts';
import { type TitledTable, hasTitles, startAtTitles } from '../record/titles.ts';
import { type SheetNote, type SheetTable, type WorkbookProblem, readXlsx } from './readXlsx.ts';

/**
 * Opens the list in a workbook: the sheet that is asked for, or the first with titles that are known, as a cover
 * sheet has none; where no sheet has them, the first. What is odd above the titles does not matter.
 * @param match which column of a row of titles holds what
 * @param progress called now and then with the rows read so far
 * @param sheet the name of the sheet that is wanted
 */
export function openSheet(
  bytes: Uint8Array,
  match: (header: readonly string[]) => Record<string, number | null>,
  progress?: (rows: number) => void,
  sheet?: string,
): Parsed<{ whole: SheetTable; list: TitledTable<SheetTable> }, WorkbookProblem> {
  const first = readXlsx(bytes, progress, sheet);
  if (!first.ok) return first;
  const opened = opening(first.value, match);
  if (sheet !== undefined || hasTitles(opened.list.header, match)) return parsed(opened);
  for (const name of first.value.sheets.slice(1)) {
    const next = readXlsx(bytes, progress, name);
    if (!next.ok) continue;
    const other = opening(next.value, match);
    if (hasTitles(other.list.header, match)) return parsed(other);
  }
  return parsed(opened);
}

function opening(
  whole: SheetTable,
  match: (header: readonly string[]) => Record<string, number | null>,
): { whole: SheetTable; list: TitledTable<SheetTable> } {
  const list = startAtTitles(whole, match);
  const notes: SheetNote[] =
    whole.sheets.length > 1
      ? [{ code: 'sheetOf', sheet: whole.sheet, count: whole.sheets.length }, ...whole.notes]
      : whole.notes;
  const odd = whole.odd.filter(({ row }) => row >= list.titlesRow);
  return { whole, list: { ...list, notes, odd } };
}
