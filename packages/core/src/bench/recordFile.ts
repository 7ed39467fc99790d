import { type NumberProblem, readNumber } from '../measure/number.ts';
import type { SchemaIssue } from '../record/issue.ts';
import { matchTitles } from '../record/titles.ts';
import { type DateOrder, dateOrderOf, readWrittenTime } from '../measure/writtenTime.ts';
import {
  SPLICER_ERRORS,
  type SplicerRecord,
  splicerRecordSchema,
} from '../record/splicerRecord.ts';

/** The columns of a splicer's file. A ribbon has a row for each fiber, with the same number. */
export const RECORD_COLUMNS = [
  'number',
  'at',
  'date',
  'label',
  'program',
  'position',
  'estimate',
  'cleaveLeft',
  'cleaveRight',
  'offset',
  'tension',
  'error',
  'arcs',
  'temperature',
  'pressure',
] as const;
export type RecordColumn = (typeof RECORD_COLUMNS)[number];

export const RECORD_TITLES: Record<RecordColumn, string> = {
  number: 'number',
  at: 'time',
  date: 'date, where the time is apart',
  label: 'closure or label',
  program: 'program',
  position: 'fiber in holder',
  estimate: 'estimate, dB',
  cleaveLeft: 'cleave left, degrees',
  cleaveRight: 'cleave right, degrees',
  offset: 'offset, um',
  tension: 'tension test',
  error: 'error',
  arcs: 'arcs',
  temperature: 'temperature, C',
  pressure: 'pressure, kPa',
};

/** Columns a file must have. */
export const NEEDED: readonly RecordColumn[] = ['number', 'estimate'];

/** Which column of the file holds what: an index from 0, or null where the file has none. */
export type RecordMatch = Record<RecordColumn, number | null>;

const HINTS: Record<RecordColumn, RegExp> = {
  number: /^(no|number|nr|index|count|record|splice)/,
  at: /^(time|date|at|when)/,
  date: /^(date|day)/,
  label: /(closure|label|job|site)/,
  program: /^(program|mode)/,
  position: /(position|fiber|fibre|place|channel)/,
  estimate: /(estimate|loss|db)/,
  cleaveLeft: /(cleave|angle).*(left|l$|a$)|left.*(cleave|angle)/,
  cleaveRight: /(cleave|angle).*(right|r$|b$)|right.*(cleave|angle)/,
  offset: /offset/,
  tension: /(tension|proof)/,
  error: /(error|fault|alarm)/,
  arcs: /arc/,
  temperature: /temp/,
  pressure: /press/,
};

/** Guesses the columns from the titles. */
export function matchRecordColumns(header: readonly string[]): RecordMatch {
  const match = matchTitles(RECORD_COLUMNS, header, (column, title) => HINTS[column].test(title));
  // Where the day has a column of its own, the time is the other one, whichever stands first.
  const time = header.findIndex((title) => /^\W*(time|hour)/i.test(title));
  const isDay = match.at !== null && /^\W*(date|day)\W*$/i.test(header[match.at]!);
  return isDay && time >= 0 ? { ...match, date: match.at, at: time } : match;
}

/** What is wrong in a line of a splicer's file. */
export type RecordFileMessage =
  | { code: 'lineCut' | 'numberMissing' | 'holderPlaces' }
  | { code: 'invalid'; issue: SchemaIssue }
  | { code: 'columnUnmatched'; title: string }
  | { code: 'fiberTwice'; number: number; fiber: number }
  | { code: 'noFigure'; text: string; problem: NumberProblem }
  | { code: 'unknownError'; text: string; known: readonly string[] }
  | { code: 'noTime'; text: string };

/** A problem at its place: the row or line as an editor counts it. */
export interface RecordProblem {
  row: number;
  column: string;
  message: RecordFileMessage;
}

/** A record as a file tells it: without the ids that whoever brings it in adds. */
export type FileRecord = Omit<SplicerRecord, 'id' | 'projectId' | 'splicerId'>;

export interface ReadRecords {
  records: FileRecord[];
  problems: RecordProblem[];
}

/** A splicer's file as it was chosen: a table whose columns are to be matched, or lines of JSON. */
export type RecordFile =
  | { kind: 'table'; header: string[]; rows: string[][]; titlesRow: number; match: RecordMatch }
  | { kind: 'lines'; read: ReadRecords };

const lineSchema = splicerRecordSchema.omit({ id: true, projectId: true, splicerId: true });

/** Reads a file of JSON with a record a line; a line that is cut off is named. */
export function readRecordLines(text: string): ReadRecords {
  const read: ReadRecords = { records: [], problems: [] };
  text.split('\n').forEach((line, index) => {
    if (line.trim() === '') return;
    const row = index + 1;
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      read.problems.push({
        row,
        column: '',
        message: { code: 'lineCut' },
      });
      return;
    }
    const result = lineSchema.safeParse(value);
    if (result.success) read.records.push(result.data);
    else
      for (const issue of result.error.issues)
        read.problems.push({
          row,
          column: issue.path.join('.'),
          message: { code: 'invalid', issue },
        });
  });
  return read;
}

/** By what a table of records is read. */
export interface RecordSetting {
  /** Time for rows without one, ISO 8601. */
  clock: string;
  /** By whose clock times go that name no zone. */
  timeZone: string;
  /** How `5/4/2026` is meant. */
  order: DateOrder;
}

/** How a table's dates are meant, as far as they say; `either` where a person has to say. */
export const recordDateOrder = (
  rows: readonly (readonly string[])[],
  match: RecordMatch,
): DateOrder | 'either' | null => {
  const column = match.date ?? match.at;
  return column === null ? null : dateOrderOf(rows.map((cells) => cells[column] ?? ''));
};

/** Makes records of a table's rows. Rows of one number are the fibers of one ribbon. */
export function readRecordTable(
  {
    rows,
    match,
    titlesRow,
  }: Pick<Extract<RecordFile, { kind: 'table' }>, 'rows' | 'match' | 'titlesRow'>,
  setting: RecordSetting,
): ReadRecords {
  const missing = NEEDED.filter((column) => match[column] === null);
  if (missing.length > 0)
    return {
      records: [],
      problems: missing.map((column) => ({
        row: titlesRow,
        column: RECORD_TITLES[column],
        message: { code: 'columnUnmatched', title: RECORD_TITLES[column] },
      })),
    };
  const problems: RecordProblem[] = [];
  const byNumber = new Map<number, FileRecord>();
  rows.forEach((cells, index) => {
    // A blank row parts what belongs together for the eye.
    if (cells.every((cell) => cell.trim() === '')) return;
    const row = new RowReader(cells, match, titlesRow + index + 1, problems);
    const number = row.figure('number');
    if (number === null || !Number.isInteger(number) || number < 0) {
      row.wrong('number', { code: 'numberMissing' });
      return;
    }
    const known = byNumber.get(number);
    const position = row.figure('position') ?? (known ? known.fibers.length + 1 : 1);
    const fiber = row.fiber(position);
    if (!fiber) return;
    if (!known) byNumber.set(number, row.record(number, fiber, setting));
    else if (known.fibers.some((other) => other.position === position))
      row.wrong('position', { code: 'fiberTwice', number, fiber: position });
    else {
      known.fibers.push(fiber);
      known.fused ||= fiber.estimateMdb !== null;
    }
  });
  const records = [...byNumber.values()];
  for (const { fibers } of records) fibers.sort((a, b) => a.position - b.position);
  return { records, problems };
}

class RowReader {
  private readonly cells: readonly string[];
  private readonly match: RecordMatch;
  private readonly row: number;
  private readonly problems: RecordProblem[];

  constructor(
    cells: readonly string[],
    match: RecordMatch,
    row: number,
    problems: RecordProblem[],
  ) {
    this.cells = cells;
    this.match = match;
    this.row = row;
    this.problems = problems;
  }

  wrong(column: RecordColumn, message: RecordFileMessage): void {
    this.problems.push({ row: this.row, column: RECORD_TITLES[column], message });
  }

  text(column: RecordColumn): string {
    const index = this.match[column];
    return index === null ? '' : (this.cells[index] ?? '').trim();
  }

  figure(column: RecordColumn): number | null {
    const text = this.text(column).replace(/\u2212/, '-');
    if (text === '') return null;
    const style = column === 'number' || column === 'arcs' ? 'either' : 'small';
    const figure = readNumber(text.replace(/\s*(db|deg|degrees|°|um|µm|c|kpa)$/i, ''), style);
    if (figure.ok) return figure.value;
    this.wrong(column, { code: 'noFigure', text, problem: figure.error });
    return null;
  }

  fiber(position: number): FileRecord['fibers'][number] | null {
    if (!Number.isInteger(position) || position < 1 || position > 12) {
      this.wrong('position', { code: 'holderPlaces' });
      return null;
    }
    const before = this.problems.length;
    const loss = this.figure('estimate');
    const word = this.text('error').toLowerCase();
    const error = SPLICER_ERRORS.find((known) => word.includes(known)) ?? null;
    if (word !== '' && error === null && !/^(none|no|ok|0|-)$/.test(word))
      this.wrong('error', { code: 'unknownError', text: word, known: SPLICER_ERRORS });
    const fiber = {
      position,
      cleaveLeft: this.figure('cleaveLeft'),
      cleaveRight: this.figure('cleaveRight'),
      offset: this.figure('offset'),
      gap: null,
      image: null,
      estimateMdb: loss === null ? null : Math.round(loss * 1000),
      error,
    };
    return this.problems.length === before ? fiber : null;
  }

  record(
    number: number,
    fiber: FileRecord['fibers'][number],
    { clock, ...setting }: RecordSetting,
  ): FileRecord {
    const time = [this.text('date'), this.text('at')].filter(Boolean).join(' ');
    const at = time === '' ? clock : readWrittenTime(time, setting);
    if (at === null) this.wrong('at', { code: 'noTime', text: time });
    const tension = this.text('tension').toLowerCase();
    return {
      number,
      at: at ?? clock,
      label: this.text('label') || null,
      program: this.text('program'),
      heater: null,
      fibers: [fiber],
      fused: fiber.estimateMdb !== null,
      tension: /pass|ok|good/.test(tension) ? 'passed' : /fail|bad/.test(tension) ? 'failed' : null,
      arcs: Math.max(0, Math.round(this.figure('arcs') ?? 0)),
      glass: 125,
      temperature: this.figure('temperature'),
      pressure: this.figure('pressure'),
      humidity: null,
      origin: 'instrument',
    };
  }
}
