import { expose } from 'comlink';
import { type ListProblem, type Parsed, parsed } from '@cordel/core';
import {
  type ListedCable,
  decodeText,
  isZip,
  matchCableColumns,
  readCableList,
  readCsv,
} from '@cordel/core/csv';
import { type SheetTable, oddProblems, readXlsx } from '@cordel/core/xlsx';

/** A cable list as it is shown before it is brought in. */
export type CablePreview =
  { error: string } | { cables: ListedCable[]; problems: ListProblem[]; notes: string[] };

/** Reads cable lists off the page's own thread. */
const cableReader = {
  read(bytes: Uint8Array, known: string[]): CablePreview {
    const table = isZip(bytes) ? readXlsx(bytes) : readText(bytes);
    if (!table.ok) return { error: table.error };
    const { header, rows, odd, notes } = table.value;
    const match = matchCableColumns(header);
    const { cables, problems } = readCableList(header, rows, match, new Set(known));
    return { cables, problems: [...oddProblems(odd, header, match), ...problems], notes };
  },
};

/** A list in CSV as the sheet of a workbook: with nothing odd about it. */
function readText(bytes: Uint8Array): Parsed<SheetTable> {
  const decoded = decodeText(bytes);
  const read = decoded.ok ? readCsv(decoded.value) : decoded;
  return read.ok ? parsed({ ...read.value, odd: [], notes: [] }) : read;
}

export type CableReader = typeof cableReader;

expose(cableReader);
