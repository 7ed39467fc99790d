import ExcelJS from 'exceljs';
import type { Column } from '../../exchange/columns.ts';
import type { PackageFile } from './file.ts';

/** The same moment in every workbook, so that the same record gives the same bytes. */
const MOMENT = new Date(Date.UTC(1980, 0, 1));
/** Rows of a sheet that Excel opens at most, its titles included. Source: its published limits (from memory). */
const MOST_ROWS = 1_048_576;

type Append = (stream: unknown, data: { name: string; date?: Date }) => unknown;

/** What of the writer its types leave out. */
interface Inner {
  zip: { append: Append };
}

const { WorkbookWriter } = ExcelJS.stream.xlsx;

/** Whether XML 1.0 holds a sign in no form (section 2.2); the database has taken no half surrogates. */
const isNonText = (sign: string): boolean => {
  const code = sign.charCodeAt(0);
  return (code < 0x20 && !'\t\n\r'.includes(sign)) || code === 0xfffe || code === 0xffff;
};

const withoutNonText = (value: unknown): unknown =>
  typeof value === 'string'
    ? value.replace(/[^\x20-\x7e]/g, (sign) => (isNonText(sign) ? '\ufffd' : sign))
    : value;

/** A writer whose zip does not stamp its parts with the moment they are made. */
class SteadyWriter extends WorkbookWriter {
  /** The first thing that the writer does with its zip, from within its constructor. */
  override addThemes(): Promise<void> {
    const { zip } = this as unknown as Inner;
    const append = zip.append.bind(zip);
    zip.append = (stream, data) => append(stream, { ...data, date: MOMENT });
    return super.addThemes();
  }
}

/** A workbook that is written row by row, a sheet a matter; it never lies in memory whole. */
export class Workbook {
  private readonly book: ExcelJS.stream.xlsx.WorkbookWriter;
  private readonly file: PackageFile;
  private rows = 0;
  private sheet: ExcelJS.Worksheet | null = null;
  private cells: ((row: never) => unknown)[] = [];
  private name = '';
  private columns: Column<never>[] = [];
  private parts = 1;

  constructor(file: PackageFile) {
    this.file = file;
    this.book = new SteadyWriter({
      stream: file.writable,
      useStyles: true,
      useSharedStrings: false,
    });
    this.book.created = MOMENT;
    this.book.modified = MOMENT;
    this.book.creator = 'Cordel';
    this.book.lastModifiedBy = 'Cordel';
  }

  /** Begins a sheet; the one before is done with. */
  begin<Row>(name: string, columns: readonly Column<Row>[]): void {
    this.name = name;
    this.parts = 1;
    this.columns = columns.filter((column) => !column.onlyCsv) as unknown as Column<never>[];
    this.open(name);
  }

  private open(name: string): void {
    this.sheet?.commit();
    const sheet = this.book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.columns = this.columns.map(({ title, width, format }) => ({
      header: withoutNonText(title) as string,
      width: width ?? Math.max(8, title.length + 2),
      ...(format ? { style: { numFmt: format } } : {}),
    }));
    sheet.autoFilter = { from: { row: 1, column: 1 }, to: { row: 1, column: this.columns.length } };
    sheet.getRow(1).font = { bold: true };
    this.cells = this.columns.map(({ cell }) => cell);
    this.sheet = sheet;
    this.rows = 1;
  }

  /** Adds rows to the sheet that was begun; a sheet that is full goes on in another. */
  async add<Row>(rows: readonly Row[]): Promise<void> {
    for (const row of rows) {
      if (this.rows === MOST_ROWS) this.open(`${this.name} ${++this.parts}`);
      // A cell without a value is none: empty ones would cost as much as full ones.
      this.sheet!.addRow(
        this.cells.map((cell) => withoutNonText(cell(row as never)) ?? undefined),
      ).commit();
      this.rows++;
    }
    // The writer packs in the turns between.
    await this.unlessFailed(new Promise((done) => setImmediate(done)));
  }

  async close(): Promise<PackageFile> {
    this.sheet?.commit();
    await this.unlessFailed(this.book.commit());
    return this.file.close();
  }

  private unlessFailed<Value>(work: Promise<Value>): Promise<Value> {
    return Promise.race([work, this.file.failure]);
  }
}
