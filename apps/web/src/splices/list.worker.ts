import { expose } from 'comlink';
import {
  type ColumnMatch,
  type ListProblem,
  type ListSetting,
  type Table,
  cablesOfList,
  decodeText,
  matchColumns,
  readCsv,
  readSpliceList,
} from '@cordel/core';

/** What the page shows of a list before it is brought in. Problems past the first 300 are counted only. */
export interface ListPreview {
  rows: number;
  splices: number;
  closures: string[];
  problems: ListProblem[];
  problemCount: number;
}

let table: Table | null = null;
let text = '';

/** Reads splice lists off the page's own thread; the worker holds the rows. */
const listReader = {
  open(bytes: Uint8Array) {
    const decoded = decodeText(bytes);
    const read = decoded.ok ? readCsv(decoded.value) : decoded;
    if (!read.ok || !decoded.ok) return { error: read.ok ? '' : read.error };
    table = read.value;
    text = decoded.value;
    return {
      header: table.header,
      rows: table.rows.length,
      match: matchColumns(table.header),
      sample: table.rows.slice(0, 3),
    };
  },
  cables: (match: ColumnMatch) => (table ? cablesOfList(table.rows, match) : []),
  preview(match: ColumnMatch, setting: ListSetting, progress: (rows: number) => void): ListPreview {
    const { header, rows } = table ?? { header: [], rows: [] };
    const list = readSpliceList(header, rows, match, setting, progress);
    return {
      rows: rows.length,
      splices: list.splices.length,
      closures: list.closures,
      problems: list.problems.slice(0, 300),
      problemCount: list.problems.length,
    };
  },
  text: () => text,
};

export type ListReader = typeof listReader;

expose(listReader);
