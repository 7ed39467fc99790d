import type { CellProblem } from '../xlsx/readXlsx.ts';
import { hasTitles } from '../record/titles.ts';
import { type ColumnMatch, type ListColumn, matchColumns } from './listColumns.ts';

/** Why a row of a list was passed over. */
export type PassedReason = 'titles' | 'heading' | 'note' | 'total';

/** A row that is no splice. */
export interface PassedRow {
  /** As a spreadsheet counts it, from 1. */
  row: number;
  /** What stands in it. */
  text: string;
  why: PassedReason;
}

/** A row that is read, with blanks and ditto marks replaced by what they mean. */
export interface MeantRow {
  row: number;
  cells: readonly string[];
}

/** Columns in which a blank means the same as above, each with those whose change ends that. */
const CARRIED: Partial<Record<ListColumn, readonly ListColumn[]>> = {
  closure: [],
  tray: ['closure'],
  cableA: ['closure'],
  tubeA: ['closure', 'cableA'],
  cableB: ['closure'],
  tubeB: ['closure', 'cableB'],
};
const CARRIED_COLUMNS = Object.keys(CARRIED) as ListColumn[];
/** Columns in which a ditto mark may stand; a blank leg, method or end has a meaning of its own. */
const DITTO_COLUMNS: readonly ListColumn[] = [...CARRIED_COLUMNS, 'legA', 'legB', 'method', 'end'];
const FIBERS: readonly ListColumn[] = ['tubeA', 'fiberA', 'tubeB', 'fiberB'];

const DITTO = /^(?:["\u201c\u201d\u2033\u3003]|''|,,|do\.?|ditto|same)$/i;
const TOTAL =
  /^(?:(?:sub|grand)[- ]?)?totals?(?: (?:splices?|fibers?|ribbons?|count))?\s*[:=]?\s*\d*$/i;

/**
 * Reads the rows of a list as people write them: a name that stands once above blanks or ditto marks goes for the
 * rows below it, up to a change of its closure or cable. Titles that are repeated, headings, notes and totals are
 * no splices.
 * @param rows those below the titles
 * @param titlesRow the row of the titles, from 1
 */
export function meantRows(
  rows: readonly (readonly string[])[],
  match: ColumnMatch,
  titlesRow: number,
): { rows: MeantRow[]; passed: PassedRow[] } {
  const meant: MeantRow[] = [];
  const passed: PassedRow[] = [];
  const above = new Map<ListColumn, string>();
  const written = (cells: readonly string[], column: ListColumn) =>
    (cells[match[column] ?? -1] ?? '').trim();

  rows.forEach((cells, index) => {
    // A blank row parts what belongs together for the eye.
    if (cells.every((cell) => cell.trim() === '')) return;
    const row = titlesRow + index + 1;
    const why = passedReason(cells, written, index === 0);
    if (why === null) return meant.push({ row, cells: fill(cells, match, above, written) });
    const isHeading = why === 'note' && headsNext(cells, rows[index + 1], above, written);
    if (isHeading) {
      above.clear();
      above.set('closure', written(cells, 'closure'));
    }
    passed.push({ row, text: textOf(cells), why: isHeading ? 'heading' : why });
  });
  return { rows: meant, passed };
}

type Written = (cells: readonly string[], column: ListColumn) => string;

const textOf = (cells: readonly string[]): string =>
  cells.flatMap((cell) => cell.trim() || []).join(' · ');

function passedReason(
  cells: readonly string[],
  written: Written,
  isFirst: boolean,
): PassedReason | null {
  const said = cells.flatMap((cell) => cell.trim() || []);
  const hasSlot = /\d/.test(written(cells, 'slot'));
  if (!hasSlot && hasTitles(cells, matchColumns)) return 'titles';
  // Units or numbers of columns below the titles: where tray and slot are words, nothing can be spliced.
  if (isFirst && !said.some((cell) => /\d/.test(cell)))
    if (written(cells, 'tray') + written(cells, 'slot') !== '') return 'titles';
  if (TOTAL.test(said[0]!)) return 'total';
  if (FIBERS.some((column) => written(cells, column) !== '')) return null;
  const isCabled = written(cells, 'cableA') !== '' || written(cells, 'cableB') !== '';
  return hasSlot && isCabled ? null : 'note';
}

/** Whether a closure's name alone in its row stands for the rows below it. */
function headsNext(
  cells: readonly string[],
  next: readonly string[] | undefined,
  above: ReadonlyMap<ListColumn, string>,
  written: Written,
): boolean {
  const name = written(cells, 'closure');
  if (name === '' || textOf(cells) !== name || !next || written(next, 'closure') !== '')
    return false;
  const isWhole = (['tray', 'cableA', 'cableB'] as const).every((one) => written(next, one) !== '');
  return isWhole || !above.has('closure');
}

/** Puts what is meant where a cell is blank or a ditto mark, and remembers what stands for the next row. */
function fill(
  cells: readonly string[],
  match: ColumnMatch,
  above: Map<ListColumn, string>,
  written: Written,
): readonly string[] {
  let filled: string[] | null = null;
  for (const column of DITTO_COLUMNS) {
    const at = match[column];
    if (at === null) continue;
    const text = written(cells, column);
    const carried = CARRIED[column];
    const before = above.get(column);
    if (DITTO.test(text) || (text === '' && carried)) {
      if (before === undefined) continue;
      filled ??= [...cells];
      filled[at] = before;
    } else {
      if (text !== before)
        for (const [other, enders] of Object.entries(CARRIED))
          if (enders.includes(column)) above.delete(other as ListColumn);
      above.set(column, text);
    }
  }
  return filled ?? cells;
}

/** Cells merged down one column, such as `A2:A9`. */
const DOWN_ONE_COLUMN = /^([A-Z]+)\d+:\1\d+$/;

/** Whether cells are merged where a blank means the same as above: they are read as they are meant. */
export const isMeantMerge = (
  { column, message }: { column: number; message: CellProblem },
  match: ColumnMatch,
): boolean =>
  message.code === 'merged' &&
  DOWN_ONE_COLUMN.test(message.cell) &&
  CARRIED_COLUMNS.some((one) => match[one] === column);
