import { expose } from 'comlink';
import {
  type Parsed,
  type RowProblem,
  type SameName,
  parsed,
  proposeSameNames,
} from '@cordel/core/lists';
import {
  type CableListMessage,
  type CsvNote,
  type CsvProblem,
  type ListedCable,
  type Table,
  decodeText,
  encodingNotes,
  isZip,
  matchCableColumns,
  readCableList,
  readCsv,
  startAtTitles,
  type TitledTable,
} from '@cordel/core/csv';
import {
  type CellProblem,
  type OddCell,
  type SheetNote,
  type WorkbookProblem,
  oddProblems,
  openSheet,
} from '@cordel/core/xlsx';

/** A cable list as it is shown before it is imported. */
export type CablePreview =
  | { error: CsvProblem | WorkbookProblem }
  | {
      cables: ListedCable[];
      problems: RowProblem<CableListMessage | CellProblem>[];
      notes: (SheetNote | CsvNote)[];
      /** Names that are likely meant as others. */
      sameNames: SameName[];
    };

/** Reads cable lists off the page's own thread. */
const cableReader = {
  read(bytes: Uint8Array, known: string[]): CablePreview {
    const table = isZip(bytes) ? readSheet(bytes) : readText(bytes);
    if (!table.ok) return { error: table.error };
    const { header, rows, titlesRow, odd, notes } = table.value;
    const match = matchCableColumns(header);
    const { cables, problems } = readCableList({ header, rows, titlesRow }, match, new Set(known));
    const sameNames = proposeSameNames(
      cables.map(({ name }) => name),
      known,
    );
    return {
      cables,
      problems: [...oddProblems(odd, header, match), ...problems],
      notes,
      sameNames,
    };
  },
};

type CableTable = TitledTable<Table> & { odd: OddCell[]; notes: (SheetNote | CsvNote)[] };

function readSheet(bytes: Uint8Array): Parsed<CableTable, WorkbookProblem> {
  const opened = openSheet(bytes, matchCableColumns);
  return opened.ok ? parsed(opened.value.list) : opened;
}

/** A list in CSV as the sheet of a workbook: with nothing odd about it. */
function readText(bytes: Uint8Array): Parsed<CableTable, CsvProblem> {
  const decoded = decodeText(bytes);
  if (!decoded.ok) return decoded;
  const read = readCsv(decoded.value.text);
  if (!read.ok) return read;
  const notes = encodingNotes(decoded.value);
  return parsed({ ...startAtTitles(read.value, matchCableColumns), odd: [], notes });
}

export type CableReader = typeof cableReader;

expose(cableReader);
