import { type CsvProblem, readCsv } from '../record/csv.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { startAtTitles } from '../record/titles.ts';
import { type RecordFile, matchRecordColumns, readRecordLines } from './recordFile.ts';

/**
 * Reads a splicer's file: CSV, or JSON with a record a line. A line that is cut off is named; rows above
 * the titles are passed over.
 */
export function openRecordFile(text: string): Parsed<RecordFile, CsvProblem> {
  if (text.trim() === '') return refused({ code: 'empty' });
  if (text.trimStart().startsWith('{'))
    return parsed({ kind: 'lines', read: readRecordLines(text) });
  const table = readCsv(text);
  if (!table.ok) return table;
  const { header, rows, titlesRow } = startAtTitles(table.value, matchRecordColumns);
  return parsed({ kind: 'table', header, rows, titlesRow, match: matchRecordColumns(header) });
}
