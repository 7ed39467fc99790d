import { expose } from 'comlink';
import {
  type ColumnMatch,
  type ListProblem,
  type ListSetting,
  Network,
  type Parsed,
  type PassedRow,
  type ReadList,
  type ReadPair,
  cablesOfList,
  findNetworkProblems,
  isMeantMerge,
  type CableTask,
  type SameNames,
  matchColumns,
  meantRows,
  parsed,
  proposeSameNames,
  readSpliceList,
  type NetworkMessage,
} from '@cordel/core/lists';
import {
  startAtTitles,
  type TitledTable,
  type Table,
  decodeText,
  encodingNotes,
  isZip,
  plainCsv,
  readCsv,
  type CsvNote,
  type CsvProblem,
} from '@cordel/core/csv';
import { type OddCell, type SheetNote, oddProblems, openSheet } from '@cordel/core/xlsx';

/** What the page shows of a list before it is imported. Problems past the first 300 are counted only. */
export interface ListPreview {
  rows: number;
  splices: number;
  closures: string[];
  problems: ListProblem[];
  problemCount: number;
  /** The first pairs as they were read; `pairCount` of all. */
  pairs: ReadPair[];
  pairCount: number;
  /** Rows that are no splices; `passedCount` of all. */
  passed: PassedRow[];
  passedCount: number;
  /** What looks wrong in the circuits of a list that can be read; it may be meant. */
  doubts: { closure: string; message: NetworkMessage }[];
  doubtCount: number;
}

let table: TitledTable<Table> | null = null;
const NOTHING: TitledTable<Table> = { header: [], rows: [], titlesRow: 1 };

/** The list as it goes to the server, from its first row on. */
let text = '';
let whole: Table | null = null;
let odd: readonly OddCell[] = [];

/** The most pairs that are shown before a list is imported: more are read in the plan. */
const MOST_PAIRS = 200;

const meantCells = (match: ColumnMatch) =>
  meantRows(table?.rows ?? [], match, table?.titlesRow ?? 1).rows.map(({ cells }) => cells);

/** Reads splice lists off the page's own thread; the worker holds the rows. */
const listReader = {
  open(bytes: Uint8Array, sheet: string | undefined, progress: (rows: number) => void) {
    let notes: (SheetNote | CsvNote)[] = [];
    let sheets: string[] = [];
    let titled: Parsed<TitledTable<Table>, CsvProblem>;
    odd = [];
    if (isZip(bytes)) {
      const opened = openSheet(bytes, matchColumns, progress, sheet);
      if (!opened.ok) return { error: opened.error };
      const { list } = opened.value;
      whole = opened.value.whole;
      ({ odd, notes, sheets, sheet } = list);
      titled = parsed(list);
      // The list goes on as CSV, which is what the server reads.
      text = plainCsv(whole);
    } else {
      const decoded = decodeText(bytes);
      const read = decoded.ok ? readCsv(decoded.value.text) : decoded;
      whole = read.ok ? read.value : null;
      titled = read.ok ? parsed(startAtTitles(read.value, matchColumns)) : read;
      if (decoded.ok) {
        text = decoded.value.text;
        notes = encodingNotes(decoded.value);
      }
    }
    if (!titled.ok) return { error: titled.error };
    table = titled.value;
    return {
      notes,
      sheets,
      sheet: sheet ?? '',
      titlesRow: table.titlesRow,
      header: table.header,
      rows: table.rows.length,
      match: matchColumns(table.header),
      sample: table.rows.slice(0, 3),
    };
  },
  /** Names that are likely meant as others, of the project or further up in the list. */
  sameNames(match: ColumnMatch, known: { closures: string[]; cables: string[] }): SameNames {
    const named = (...columns: ('closure' | 'cableA' | 'cableB')[]) => {
      const cells = meantCells(match).flatMap((row) =>
        columns.flatMap((column) => row[match[column] ?? -1]?.trim() || []),
      );
      return [...new Set(cells)];
    };
    return {
      closures: proposeSameNames(named('closure'), known.closures),
      cables: proposeSameNames(named('cableA', 'cableB'), known.cables),
    };
  },
  cables: (task: CableTask) => cablesOfList(meantCells(task.match), task),
  /** Puts another value into a cell, by the row as a spreadsheet counts it and the column from 0. */
  fix(row: number, column: number, value: string): void {
    if (!whole || !table) return;
    const all = [whole.header, ...whole.rows];
    const cells = all[row - 1];
    if (!cells) return;
    while (cells.length <= column) cells.push('');
    cells[column] = value;
    odd = odd.filter((cell) => cell.row !== row || cell.column !== column);
    text = plainCsv(whole);
  },
  preview(match: ColumnMatch, setting: ListSetting, progress: (rows: number) => void): ListPreview {
    const list = readSpliceList(table ?? NOTHING, match, setting, progress);
    const { header, rows } = table ?? NOTHING;
    const counts = odd.filter((cell) => !isMeantMerge(cell, match));
    const problems = [...oddProblems(counts, header, match), ...list.problems];
    const doubts = doubtsOf(list, setting);
    return {
      doubts: doubts.slice(0, 50),
      doubtCount: doubts.length,
      rows: rows.length,
      splices: list.splices.length,
      closures: list.closures,
      problems: problems.slice(0, 300),
      problemCount: problems.length,
      pairs: list.pairs.slice(0, MOST_PAIRS),
      pairCount: list.pairs.length,
      passed: list.passed.slice(0, 100),
      passedCount: list.passed.length,
    };
  },
  text: () => text,
};

/** Shifts, flips, circles and loose ends, found as in circuits; a list names cables and closures by name. */
function doubtsOf({ splices }: ReadList, setting: ListSetting): ListPreview['doubts'] {
  const cables = setting.cables.map(({ name, makeUp }) => ({ id: name, name, makeUp }));
  const there = setting.closures.flatMap(({ name, splices: own }) =>
    own.map((splice) => ({ ...splice, closure: name })),
  );
  const named = new Set(splices.map((splice) => splice.closure));
  // Closures that the list adds come behind those of the project, as they will be kept.
  const order = [...new Set([...setting.closures.map(({ name }) => name), ...named])];
  const orders = new Map(order.map((name, index) => [name, index]));
  const network = new Network(
    cables,
    [...there, ...splices].map((splice) => ({ ...splice, order: orders.get(splice.closure)! })),
  );
  return findNetworkProblems(network, () => false).flatMap(({ closure, message }) =>
    closure !== null && named.has(closure) ? [{ closure, message }] : [],
  );
}

export type ListReader = typeof listReader;

expose(listReader);
