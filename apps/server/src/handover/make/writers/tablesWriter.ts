import { rollUp } from '@cordel/core';
import { builder as say } from '@cordel/text/handover/builder';
import {
  type Column,
  EVIDENCE,
  type PlacedEvidence,
  TRAYS,
  closureColumns,
  fiberColumns,
  retiredColumns,
  spliceColumns,
} from '../../../exchange/columns.ts';
import type { PackageClosure, PackageSplice, RetiredSplice } from '../../messages.ts';
import { CLOSING, type ClosingRow } from '../closingColumns.ts';
import { CsvFile } from '../csvFile.ts';
import { PackageFile } from '../file.ts';
import { LINKS, linkRows } from '../linkColumns.ts';
import { PREP, type PrepRow, prepRows } from '../prepRows.ts';
import { Tallies } from '../tallies.ts';
import { Workbook } from '../workbook.ts';
import type { PackageContext, PackageWriter, WholeClosure } from './packageWriter.ts';

/** The record as tables: each is a sheet of one workbook, and a CSV file. */
export class TablesWriter implements PackageWriter {
  private readonly context: PackageContext;
  private readonly book: Workbook;
  private readonly splicesCsv: CsvFile<PackageSplice>;
  private readonly evidenceCsv: CsvFile<PlacedEvidence>;
  private readonly files: PackageFile[] = [];
  private readonly trays = new Tallies<{ closureId: string; closure: string; tray: number }>();
  private readonly fibers = new Tallies<{ cable: string; fiber: number }>();
  private readonly retired: RetiredSplice[] = [];
  private readonly closing: ClosingRow[] = [];
  private readonly prep: PrepRow[] = [];
  private isAtEvidence = false;

  private constructor(
    context: PackageContext,
    book: Workbook,
    splices: CsvFile<PackageSplice>,
    evidence: CsvFile<PlacedEvidence>,
  ) {
    this.context = context;
    this.book = book;
    this.splicesCsv = splices;
    this.evidenceCsv = evidence;
  }

  static async open(context: PackageContext): Promise<TablesWriter> {
    const file = (path: string, what: string) => PackageFile.open(context.open.folder, path, what);
    const book = new Workbook(await file('as-built.xlsx', say('theRecordAsAWorkbook')));
    const columns = splicesOf(context);
    book.begin('splices', columns);
    return new TablesWriter(
      context,
      book,
      await new CsvFile(await file('csv/splices.csv', say('splices')), columns).begin(),
      await new CsvFile(
        await file('csv/evidence.csv', say('attemptsReadingsRulings')),
        EVIDENCE,
      ).begin(),
    );
  }

  async closure(own: PackageClosure): Promise<void> {
    this.retired.push(...own.retired);
  }

  async splices(rows: readonly PackageSplice[]): Promise<void> {
    for (const row of rows) {
      const { closureId, closure, tray, headCable, headFiber } = row;
      this.trays.add(`${closureId} ${tray}`, { closureId, closure, tray }, row);
      this.fibers.add(`${headCable} ${headFiber}`, { cable: headCable, fiber: headFiber }, row);
    }
    await this.book.add(rows);
    await this.splicesCsv.add(rows);
  }

  async wholeClosure({ own }: WholeClosure): Promise<void> {
    for (const entry of [...own.closing, ...own.state.signatures])
      this.closing.push({ closure: own.closure.name, entry, hardware: own.hardware });
    const { cables, schemes, project } = this.context.open;
    this.prep.push(...prepRows(own, { cables, schemes, units: project.units }));
  }

  async evidence(placed: readonly PlacedEvidence[]): Promise<void> {
    this.toEvidence();
    await this.book.add(placed);
    await this.evidenceCsv.add(placed);
  }

  async finish(): Promise<PackageFile[]> {
    const { open, describe } = this.context;
    const { project, rows, closures } = open;
    const { limits } = project;
    this.toEvidence();
    await this.table('closures', closureColumns(project, closures), rows);
    const trays = this.trays.all();
    await this.table(
      'trays',
      TRAYS,
      trays.map(({ key, tally }) => ({ ...key, ...rollUp(tally, 'tray', limits) })),
    );
    const fibers = this.fibers.all();
    await this.table(
      'fibers',
      fiberColumns(describe),
      fibers.map(({ key, tally }) => ({
        headCable: key.cable,
        headFiber: key.fiber,
        ...rollUp(tally, 'fiber', limits),
      })),
    );
    await this.table('prep', PREP, this.prep);
    await this.table('closing', CLOSING, this.closing);
    const names = new Map(open.cables.map(({ id, name }) => [id, name]));
    await this.table(
      'links',
      LINKS,
      linkRows(open.document?.links ?? [], (id) => names.get(id) ?? ''),
    );
    await this.table('removed', retiredColumns(splicesOf(this.context)), this.retired);
    const streamed = [this.book, this.splicesCsv.file, this.evidenceCsv.file];
    for (const file of streamed) this.files.push(await file.close());
    return this.files;
  }

  /** A sheet is begun once, and after the one before it has ended. */
  private toEvidence(): void {
    if (this.isAtEvidence) return;
    this.book.begin('evidence', EVIDENCE);
    this.isAtEvidence = true;
  }

  private async table<Row>(
    name: keyof typeof TABLES,
    columns: Column<Row>[],
    rows: readonly Row[],
  ): Promise<void> {
    this.book.begin(name, columns);
    await this.book.add(rows);
    const { folder } = this.context.open;
    const file = await PackageFile.open(folder, `csv/${name}.csv`, say(TABLES[name]));
    const csv = await new CsvFile(file, columns).begin();
    await csv.add(rows);
    this.files.push(await csv.file.close());
  }
}

/** Tables that are written at the end, by the texts that tell what they are. */
const TABLES = {
  closures: 'closures',
  trays: 'trays',
  fibers: 'fibers',
  prep: 'prep',
  closing: 'closing',
  links: 'links',
  removed: 'removed',
} as const;

const splicesOf = ({ describe, open }: PackageContext): Column<PackageSplice>[] =>
  spliceColumns(describe, open.extras, open.wavelengths);
