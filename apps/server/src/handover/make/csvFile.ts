import { writeCsv } from '@cordel/core/csv';
import { type Column, csvCell } from '../../exchange/columns.ts';
import type { PackageFile } from './file.ts';

/** Writes CSV in parts: the titles once, then rows. */
export class CsvFile<Row> {
  private readonly columns: readonly Column<Row>[];
  readonly file: PackageFile;

  constructor(file: PackageFile, columns: readonly Column<Row>[]) {
    this.file = file;
    this.columns = columns;
  }

  async begin(): Promise<this> {
    const [titles] = this.textOf([]).split('\r\n');
    await this.file.write(`${titles}\r\n`);
    return this;
  }

  async add(rows: readonly Row[]): Promise<void> {
    if (rows.length === 0) return;
    const text = this.textOf(rows);
    // The titles stand in the file already; there is no line break in them.
    await this.file.write(text.slice(text.indexOf('\r\n') + 2));
  }

  private textOf(rows: readonly Row[]): string {
    return writeCsv(
      this.columns.map(({ title }) => title.replace(/\s+/g, ' ')),
      rows.map((row) => this.columns.map(({ cell }) => csvCell(cell(row)))),
    );
  }
}
