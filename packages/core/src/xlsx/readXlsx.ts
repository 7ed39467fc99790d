import { Unzip, UnzipInflate, strFromU8, unzipSync } from 'fflate';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { RowProblem } from '../record/rowProblem.ts';
import type { Table } from '../record/csv.ts';

/** Why a workbook cannot be read. */
export type WorkbookProblem =
  | { code: 'noWorkbook' | 'openDocument' | 'otherZip' | 'noSheet' | 'noRows' }
  | { code: 'noSuchSheet' | 'sheetMissing' | 'sheetTooNarrow'; sheet: string }
  | { code: 'rowTooFar'; row: number }
  | { code: 'broken'; reason: string };

/** What is odd about a cell, or about cells that are merged. */
export type CellProblem =
  | { code: 'formulaWithoutValue' | 'merged'; cell: string }
  | { code: 'errorValue' | 'dateValue'; cell: string; shown: string };

/** What is to be said of how a sheet was read. */
export type SheetNote =
  | { code: 'formulas'; count: number; cell: string }
  | { code: 'sheetOf'; sheet: string; count: number };

/** A row that no sheet has. */
class RowTooFar extends Error {
  readonly row: number;

  constructor(row: number) {
    super(`row ${row} is past the last of a sheet`);
    this.row = row;
  }
}

/** A cell that is not what it seems, at its place: the row as a spreadsheet counts it, the column from 0. */
export interface OddCell {
  row: number;
  column: number;
  value: string;
  message: CellProblem;
}

/** A sheet of a workbook: its first row and those below it as text, and what is odd about cells. */
export interface SheetTable extends Table {
  odd: OddCell[];
  /** What was passed over. */
  notes: SheetNote[];
  /** The sheet that is read, and all that may be, in the order of their tabs. */
  sheet: string;
  sheets: string[];
}

/** Odd cells as problems of a list: those in columns that count, and merges, which empty whole rows. */
export const oddProblems = (
  odd: readonly OddCell[],
  header: readonly string[],
  match: Record<string, number | null>,
): (RowProblem<CellProblem> & { at: number })[] =>
  odd
    .filter(({ column, value }) => Object.values(match).includes(column) || value.includes(':'))
    .map(({ row, column, value, message }) => ({
      row,
      column: header[column] ?? '',
      at: column,
      value,
      message,
    }));

/** Bytes that are handed on at a time: often enough to tell how far it is. */
const CHUNK = 1 << 16;
/** Nobody reads more than so many odd cells. */
const MOST_ODD = 300;
/** Most characters of a part that is held whole: texts of a sheet of 200 000 rows are well below it. */
const MOST_PART = 400_000_000;
const MOST_ROWS = 1_048_576;

/** A cell's column, from 0, by its letters: `A` is 0, `AB` is 27. */
export function columnOf(place: string): number {
  let column = 0;
  for (let at = 0; at < place.length; at++) {
    const code = place.charCodeAt(at);
    if (code < 65 || code > 90) break;
    column = column * 26 + (code - 64);
  }
  return column - 1;
}

/** A column's letters. */
export function lettersOf(column: number): string {
  let letters = '';
  for (let left = column + 1; left > 0; left = Math.floor((left - 1) / 26))
    letters = String.fromCharCode(65 + ((left - 1) % 26)) + letters;
  return letters;
}

/**
 * Reads a sheet of a workbook, part by part. Every cell becomes text, as a list in CSV has it.
 * Formulas give their last value, and are named; dates give their day, and are named; merged cells are named.
 * Source: ECMA-376, Office Open XML, SpreadsheetML (from memory).
 * @param progress called now and then with the rows read so far
 * @param sheet the sheet's name; without it the first is read
 */
export function readXlsx(
  bytes: Uint8Array,
  progress: (rows: number) => void = () => undefined,
  sheet?: string,
): Parsed<SheetTable, WorkbookProblem> {
  let parts: Record<string, Uint8Array>;
  try {
    parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) =>
        !/^xl\/worksheets\/|\/media\//.test(name) && originalSize < MOST_PART,
    });
  } catch {
    return refused({ code: 'noWorkbook' });
  }
  const text = (name: string) => (parts[name] ? strFromU8(parts[name]) : null);
  const workbook = text('xl/workbook.xml');
  if (workbook === null)
    return refused({ code: parts['content.xml'] ? 'openDocument' : 'otherZip' });
  try {
    const sheets = sheetsOf(workbook, text('xl/_rels/workbook.xml.rels') ?? '');
    const chosen = sheet === undefined ? sheets[0] : sheets.find(({ name }) => name === sheet);
    if (!chosen)
      return refused(sheet === undefined ? { code: 'noSheet' } : { code: 'noSuchSheet', sheet });
    const shared = sharedTexts(text('xl/sharedStrings.xml'));
    const dates = dateStyles(text('xl/styles.xml'));
    const base1904 = /<workbookPr[^>]*date1904="(1|true)"/.test(workbook);
    const reader = new SheetReader(shared, dates, base1904, progress);
    if (!pump(bytes, chosen.path, (chunk, last) => reader.write(chunk, last)))
      return refused({ code: 'sheetMissing', sheet: chosen.name });
    const table: SheetTable = {
      ...reader.table(),
      sheet: chosen.name,
      sheets: sheets.map(({ name }) => name),
    };
    // A heading may stand alone in its row, above the titles. A sheet beside others is shown: another may be meant.
    if (sheets.length === 1 && [table.header, ...table.rows].every((row) => row.length < 2))
      return refused({ code: 'sheetTooNarrow', sheet: chosen.name });
    if (sheets.length === 1 && table.rows.length === 0) return refused({ code: 'noRows' });
    return parsed(table);
  } catch (error) {
    if (error instanceof RowTooFar) return refused({ code: 'rowTooFar', row: error.row });
    return refused({ code: 'broken', reason: (error as Error).message });
  }
}

/** Inflates one part of a zip piece by piece. */
function pump(
  bytes: Uint8Array,
  path: string,
  take: (text: string, last: boolean) => void,
): boolean {
  let found = false;
  let failure: Error | null = null;
  const decoder = new TextDecoder();
  const unzip = new Unzip((file) => {
    if (file.name !== path) return;
    found = true;
    file.ondata = (error, data, last) => {
      if (error) failure = error;
      else take(decoder.decode(data, { stream: !last }), last);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  for (let at = 0; at < bytes.length && !failure; at += CHUNK)
    unzip.push(bytes.subarray(at, at + CHUNK), at + CHUNK >= bytes.length);
  if (failure) throw failure as Error;
  return found;
}

interface SheetPart {
  name: string;
  path: string;
}

const attribute = (tag: string, name: string): string | null =>
  new RegExp(`\\b${name}="([^"]*)"`).exec(tag)?.[1] ?? null;

/** Sheets in the order of their tabs, with the parts they lie in. */
function sheetsOf(workbook: string, relations: string): SheetPart[] {
  const targets = new Map(
    [...relations.matchAll(/<Relationship\b[^>]*>/g)].map(([tag]) => [
      attribute(tag, 'Id'),
      (attribute(tag, 'Target') ?? '').replace(/^\/?(xl\/)?/, 'xl/'),
    ]),
  );
  return [...workbook.matchAll(/<(?:\w+:)?sheet\b[^>]*>/g)].flatMap(([tag]) => {
    const path = targets.get(attribute(tag, 'r:id'));
    return path ? [{ name: attribute(tag, 'name') ?? 'Sheet', path }] : [];
  });
}

/** Texts that cells share; parts that are set apart by their font belong together. */
function sharedTexts(xml: string | null): string[] {
  const texts: string[] = [];
  if (xml === null) return texts;
  const parser = new SaxesParser();
  let own = '';
  let inText = false;
  let spoken = 0;
  parser.on('opentag', ({ name }) => {
    const tag = bare(name);
    if (tag === 'si') own = '';
    if (tag === 'rPh') spoken++;
    inText = tag === 't' && spoken === 0;
  });
  parser.on('text', (text) => {
    if (inText) own += text;
  });
  parser.on('closetag', ({ name }) => {
    const tag = bare(name);
    if (tag === 'si') texts.push(own);
    if (tag === 'rPh') spoken--;
    if (tag === 't') inText = false;
  });
  parser.write(xml).close();
  return texts;
}

const bare = (name: string): string => name.slice(name.indexOf(':') + 1);

/** Built-in number formats that show a date or a time. Source: ECMA-376, 18.8.30 (from memory). */
const isBuiltInDate = (id: number): boolean =>
  (id >= 14 && id <= 22) ||
  (id >= 27 && id <= 36) ||
  (id >= 45 && id <= 47) ||
  (id >= 50 && id <= 58);

/** Which cell styles show dates, by their numbers. */
function dateStyles(xml: string | null): Set<number> {
  const styles = new Set<number>();
  if (xml === null) return styles;
  const own = new Set<number>();
  for (const [tag] of xml.matchAll(/<numFmt\b[^>]*>/g)) {
    // Text in quotes, colors and escaped letters say nothing of dates.
    const code = (attribute(tag, 'formatCode') ?? '').replace(
      /&quot;.*?&quot;|\[[^\]]*\]|\\./g,
      '',
    );
    if (/[ymdhs]/i.test(code) && !/general/i.test(code))
      own.add(Number(attribute(tag, 'numFmtId')));
  }
  const formats = /<cellXfs\b[\s\S]*?<\/cellXfs>/.exec(xml)?.[0] ?? '';
  [...formats.matchAll(/<xf\b[^>]*>/g)].forEach(([tag], index) => {
    const id = Number(attribute(tag, 'numFmtId') ?? 0);
    if (isBuiltInDate(id) || own.has(id)) styles.add(index);
  });
  return styles;
}

const DAY = 86_400_000;

/** The day of a serial number. Days are counted from 1899-12-30, or from 1904-01-01 where the workbook says so. */
function dayOf(serial: number, base1904: boolean): string {
  const start = base1904 ? Date.UTC(1904, 0, 1) : Date.UTC(1899, 11, 30);
  const moment = new Date(start + Math.round(serial * DAY));
  const text = moment.toISOString();
  return Number.isInteger(serial) ? text.slice(0, 10) : text.slice(0, 16).replace('T', ' ');
}

/** Reads a sheet's XML as it comes. */
class SheetReader {
  private readonly parser = new SaxesParser();
  private readonly shared: readonly string[];
  private readonly dates: ReadonlySet<number>;
  private readonly base1904: boolean;
  private readonly progress: (rows: number) => void;
  private readonly rows: string[][] = [];
  private readonly odd: OddCell[] = [];
  private formulas = 0;
  private firstFormula = '';
  private row = 0;
  private cells: string[] = [];
  private column = -1;
  private type = '';
  private style = 0;
  private value = '';
  private collecting = false;
  private formula = false;

  constructor(
    shared: readonly string[],
    dates: ReadonlySet<number>,
    base1904: boolean,
    progress: (rows: number) => void,
  ) {
    this.shared = shared;
    this.dates = dates;
    this.base1904 = base1904;
    this.progress = progress;
    this.parser.on('opentag', (tag) => this.open(tag as SaxesTagPlain));
    this.parser.on('text', (text) => {
      if (this.collecting) this.value += text;
    });
    this.parser.on('closetag', ({ name }) => this.close(bare(name)));
  }

  write(text: string, last: boolean): void {
    this.parser.write(text);
    this.progress(Math.max(0, this.rows.length - 1));
    if (last) this.parser.close();
  }

  private open({ name, attributes }: SaxesTagPlain): void {
    switch (bare(name)) {
      case 'row':
        this.row = Number(attributes.r ?? this.row + 1);
        if (this.row > MOST_ROWS) throw new RowTooFar(this.row);
        this.cells = [];
        this.column = -1;
        return;
      case 'c':
        this.column = attributes.r ? columnOf(attributes.r) : this.column + 1;
        this.type = attributes.t ?? 'n';
        this.style = Number(attributes.s ?? 0);
        this.value = '';
        this.formula = false;
        return;
      case 'f':
        this.formula = true;
        return;
      case 'v':
      case 't':
        this.collecting = true;
        return;
      case 'mergeCell':
        this.merged(attributes.ref ?? '');
    }
  }

  private close(tag: string): void {
    if (tag === 'v' || tag === 't') this.collecting = false;
    if (tag === 'c') this.cells[this.column] = this.cell();
    if (tag !== 'row') return;
    // Rows without a cell may be left out of the file.
    while (this.rows.length < this.row - 1) this.rows.push([]);
    this.rows[this.row - 1] = Array.from(this.cells, (cell) => cell ?? '');
  }

  private cell(): string {
    const place = `${lettersOf(this.column)}${this.row}`;
    if (this.formula) {
      this.formulas++;
      this.firstFormula ||= place;
      if (this.value === '') this.complain('', { code: 'formulaWithoutValue', cell: place });
    }
    switch (this.type) {
      case 's':
        return this.shared[Number(this.value)] ?? '';
      case 'b':
        return this.value === '1' ? 'yes' : 'no';
      case 'e':
        this.complain(this.value, { code: 'errorValue', cell: place, shown: this.value });
        return this.value;
      case 'str':
      case 'inlineStr':
        return this.value;
      case 'd':
        return this.dated(this.value.slice(0, 10), place);
    }
    if (this.value === '') return '';
    const figure = Number(this.value);
    if (Number.isNaN(figure)) return this.value;
    return this.dates.has(this.style)
      ? this.dated(dayOf(figure, this.base1904), place)
      : // Sums of tenths come as 0.30000000000000004.
        String(Number(figure.toPrecision(15)));
  }

  private dated(day: string, place: string): string {
    this.complain(day, { code: 'dateValue', cell: place, shown: day });
    return day;
  }

  private merged(ref: string): void {
    const [first] = ref.split(':');
    const row = Number(/\d+/.exec(first!)?.[0] ?? 0);
    this.odd.push({
      row,
      column: columnOf(first!),
      value: ref,
      message: { code: 'merged', cell: ref },
    });
  }

  private complain(value: string, message: CellProblem): void {
    if (this.odd.length < MOST_ODD)
      this.odd.push({ row: this.row, column: this.column, value, message });
  }

  table(): Pick<SheetTable, 'header' | 'rows' | 'odd' | 'notes'> {
    const [header = [], ...rows] = this.rows;
    while (rows.length > 0 && rows.at(-1)!.every((cell) => cell.trim() === '')) rows.pop();
    const width = header.length;
    const notes: SheetNote[] =
      this.formulas > 0
        ? [{ code: 'formulas', count: this.formulas, cell: this.firstFormula }]
        : [];
    return {
      header: header.map((title) => title.trim()),
      // Every row as wide as the titles, as in CSV.
      rows: rows.map((cells) =>
        cells.length >= width ? cells : [...cells, ...Array<string>(width - cells.length).fill('')],
      ),
      odd: this.odd.sort((a, b) => a.row - b.row || a.column - b.column),
      notes,
    };
  }
}
