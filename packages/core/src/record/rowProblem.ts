import type { Message } from './message.ts';

/** A problem of a table at its place: the row as a spreadsheet counts it from 1, and the column's title. */
export interface RowProblem<M extends Message> {
  row: number;
  column: string;
  value: string;
  message: M;
}
