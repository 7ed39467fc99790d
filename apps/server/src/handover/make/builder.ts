import { type Evidence, formatDay, rollUp } from '@cordel/core';
import { type Photo, canonicalText } from '@cordel/core/close';
import { documentJsonSchema } from '@cordel/core/document';
import { writeGeoJson } from '@cordel/core/geo';
import { builder as say } from '@cordel/text/handover/builder';
import type { PackageClosure, PackageMessage, PackageSplice, RetiredSplice } from '../messages.ts';
import {
  type Column,
  EVIDENCE,
  type PlacedEvidence,
  TRAYS,
  closureColumns,
  fiberColumns,
  retiredColumns,
  spliceColumns,
} from '../../exchange/columns.ts';
import { CLOSING, type ClosingRow } from './closingColumns.ts';
import { CsvFile } from './csvFile.ts';
import { type DescribeFiber, describer } from '../../exchange/describer.ts';
import { DocumentFile } from './documentFile.ts';
import { PackageFile, writeWhole } from './file.ts';
import { PRACTICE_MARK } from './words.ts';
import { Sheets } from './paper.ts';
import { writePhotos } from './photos.ts';
import { writeClosure, writeSummary } from './record.ts';
import { README } from '@cordel/text/handover/readme';
import { Tallies } from './tallies.ts';
import { TracePages } from './tracePages.ts';
import { Workbook } from './workbook.ts';
import { zipFiles } from './zip.ts';

type Message<Kind extends PackageMessage['kind']> = Extract<PackageMessage, { kind: Kind }>;
type Open = Message<'open'>;

/** Makes a package from what it is told, part by part, and holds no more of it than one closure. */
export class PackageBuilder {
  private open!: Open;
  private describe!: DescribeFiber;
  private sheets!: Sheets;
  private book!: Workbook;
  private csv!: { splices: CsvFile<PackageSplice>; evidence: CsvFile<PlacedEvidence> };
  private document: DocumentFile | null = null;
  private traces!: TracePages;
  private readonly files: PackageFile[] = [];
  private readonly trays = new Tallies<{ closureId: string; closure: string; tray: number }>();
  private readonly fibers = new Tallies<{ cable: string; fiber: number }>();
  private readonly places = new Map<string, [closure: string, tray: number, slot: number]>();
  private readonly retired: RetiredSplice[] = [];
  private readonly closing: ClosingRow[] = [];
  private readonly signed: { closure: string; digest: string; file: string }[] = [];
  private readonly names = new Set<string>();
  private current: { own: PackageClosure; splices: PackageSplice[]; photos: Photo[] } | null = null;
  private part: 'splices' | 'evidence' | null = null;

  async take(message: PackageMessage): Promise<{ size: number; digest: string } | null> {
    switch (message.kind) {
      case 'open':
        await this.begin(message);
        return null;
      case 'closure':
        await this.endClosure();
        await this.beginClosure(message.closure);
        return null;
      case 'splices':
        await this.takeSplices(message.splices);
        return null;
      case 'photo':
        await this.takePhoto(message.photo);
        return null;
      case 'evidence':
        await this.takeEvidence(message);
        return null;
      case 'trace':
        await this.takeTrace(message);
        return null;
      case 'document photo':
        await this.document?.add('photos', [message.photo]);
        return null;
      case 'record':
        await this.add(
          'closure.json',
          say('theClosuresRecordInCanonicalForm'),
          canonicalText(message.record),
        );
        return null;
      case 'finish':
        return this.finish();
    }
  }

  private async add(path: string, what: string, content: string | Uint8Array): Promise<void> {
    this.files.push(await writeWhole(this.open.folder, path, what, content));
  }

  private async begin(open: Open): Promise<void> {
    this.open = open;
    this.describe = describer(open.cables, open.schemes);
    const { folder, paper, title, project } = open;
    const file = (path: string, what: string) => PackageFile.open(folder, path, what);
    const { units } = project;
    this.sheets = new Sheets(await file('as-built.pdf', say('theRecordForPeople')), {
      paper,
      title,
      foot: say('asBuiltRecordNewestEntry', {
        practiceOnly: project.practiceOnly ? `${PRACTICE_MARK} · ` : '',
        name: project.name,
        moment: formatDay(open.moment, units.timeZone),
      }),
      mark: project.practiceOnly ? PRACTICE_MARK : null,
      moment: new Date(open.moment),
      units,
    });
    writeSummary(this.sheets, open);
    this.book = new Workbook(await file('as-built.xlsx', say('theRecordAsAWorkbook')));
    const columns = spliceColumns(this.describe, open.extras, open.wavelengths);
    this.book.begin('splices', columns);
    this.part = 'splices';
    this.csv = {
      splices: await new CsvFile(await file('csv/splices.csv', 'Splices'), columns).begin(),
      evidence: await new CsvFile(
        await file('csv/evidence.csv', say('attemptsReadingsRulings')),
        EVIDENCE,
      ).begin(),
    };
    this.traces = new TracePages(this.sheets);
    if (open.document) {
      this.document = new DocumentFile(
        await file('project.json', 'The whole project, as project.schema.json describes it'),
      );
      await this.document.begin(open.document);
      await this.add(
        'project.schema.json',
        'JSON Schema (draft 2020-12) of project.json',
        JSON.stringify(documentJsonSchema()),
      );
    }
  }

  private async beginClosure(own: PackageClosure): Promise<void> {
    this.current = { own, splices: [], photos: [] };
    for (const row of own.retired) this.places.set(row.id, [row.closure, row.tray, row.slot]);
    this.retired.push(...own.retired);
    await this.document?.add(
      'splices',
      own.retired.map((row) => plainSplice(row, this.open)),
    );
  }

  private async takeSplices(splices: PackageSplice[]): Promise<void> {
    this.current!.splices.push(...splices);
    for (const row of splices) {
      const { closureId, closure, tray, headCable, headFiber } = row;
      this.trays.add(`${closureId} ${tray}`, { closureId, closure, tray }, row);
      this.fibers.add(`${headCable} ${headFiber}`, { cable: headCable, fiber: headFiber }, row);
      this.places.set(row.id, [closure, tray, row.slot]);
    }
    await this.book.add(splices);
    await this.csv.splices.add(splices);
    await this.document?.add(
      'splices',
      splices.map((row) => plainSplice(row, this.open)),
    );
  }

  private async takePhoto(photo: Photo): Promise<void> {
    this.current!.photos.push(photo);
    await this.add(`photos/${photo.id}.jpg`, 'A photo', Buffer.from(photo.bytes, 'base64'));
  }

  /** All of a closure is there: its pages can be written. */
  private async endClosure(): Promise<void> {
    if (!this.current) return;
    const { own, splices, photos } = this.current;
    this.current = null;
    writeClosure(this.sheets, this.open.project, own, splices, this.describe, own.hardware);
    writePhotos(this.sheets, photos);
    for (const entry of own.closing) this.closing.push({ closure: own.closure.name, entry });
    for (const entry of own.state.signatures)
      this.closing.push({ closure: own.closure.name, entry });
    for (const { digest, content } of own.signed) {
      const file = `signed/${this.fileName(own.closure.name, `-${digest.slice(0, 12)}.json`)}`;
      this.signed.push({ closure: own.closure.name, digest, file });
      await this.add(file, say('whatWasSignedOfItsSha', { name: own.closure.name }), content);
    }
  }

  private async takeEvidence({ json }: Message<'evidence'>): Promise<void> {
    const evidence = JSON.parse(json) as Evidence[];
    await this.endClosure();
    if (this.part === 'splices') {
      this.book.begin('evidence', EVIDENCE);
      this.part = 'evidence';
    }
    const placed = evidence.map((entry): PlacedEvidence => {
      const [closure, tray, slot] = this.places.get(entry.spliceId) ?? ['', 0, 0];
      return { entry, closure, tray, slot };
    });
    await this.book.add(placed);
    await this.csv.evidence.add(placed);
    await this.document?.add('evidence', evidence);
  }

  private async takeTrace({ trace, words }: Message<'trace'>): Promise<void> {
    await this.endClosure();
    const bytes = Buffer.from(trace.bytes, 'base64');
    this.traces.add({ name: trace.name, words, bytes });
    await this.add(
      `traces/${this.fileName(trace.name.replace(/\.sor$/i, ''), '.sor')}`,
      say('aTraceByteForByte'),
      bytes,
    );
    await this.document?.add('traces', [trace]);
  }

  /** A name that every system takes, and that no other file of the package has. */
  private fileName(name: string, rest: string): string {
    const plain =
      name
        .normalize('NFKD')
        .replace(/[^\w.-]+/g, '-')
        .replace(/^[-.]+|-+$/g, '') || 'file';
    for (let count = 1; ; count++) {
      const full = `${plain}${count === 1 ? '' : `-${count}`}${rest}`;
      if (this.names.has(full.toLowerCase())) continue;
      this.names.add(full.toLowerCase());
      return full;
    }
  }

  private async finish(): Promise<{ size: number; digest: string }> {
    await this.endClosure();
    const { folder, project } = this.open;
    await this.finishBook();
    this.files.push(await this.sheets.close(), await this.book.close());
    this.files.push(await this.csv.splices.file.close(), await this.csv.evidence.file.close());
    if (this.document) this.files.push(await this.document.close());
    await this.add(
      'route.geojson',
      say('routeAndClosuresRfc7946'),
      `${JSON.stringify(this.geoJson())}\n`,
    );
    await this.add(
      'README.txt',
      say('howToReadAndCheckAll'),
      project.practiceOnly ? `${PRACTICE_MARK}\n\n${README}` : README,
    );
    this.files.sort((a, b) => (a.path < b.path ? -1 : 1));
    const manifest = {
      format: 'cordel.package',
      version: 1,
      project: { id: project.id, name: project.name, practiceOnly: project.practiceOnly },
      closureId: this.open.closureId,
      newestEntry: this.open.moment,
      files: this.files.map(({ path, size, digest, what }) => ({
        path,
        bytes: size,
        sha256: digest,
        what,
      })),
      signed: this.signed,
    };
    await this.add(
      'manifest.json',
      say('whatIsInHereWithSha'),
      `${JSON.stringify(manifest, null, 1)}\n`,
    );
    const sums = this.files.map(({ path, digest }) => `${digest}  ${path}\n`).join('');
    await this.add('SHA256SUMS', say('forSha256sumC'), sums);
    this.files.sort((a, b) => (a.path < b.path ? -1 : 1));
    return zipFiles(folder, this.files, this.open.file);
  }

  private async finishBook(): Promise<void> {
    const { project, rows, closures, extras, wavelengths } = this.open;
    const { limits } = project;
    if (this.part === 'splices') this.book.begin('evidence', EVIDENCE);
    await this.matter('closures', closureColumns(project, closures), rows);
    await this.matter(
      'trays',
      TRAYS,
      this.trays.all().map(({ key, tally }) => ({ ...key, ...rollUp(tally, 'tray', limits) })),
    );
    await this.matter(
      'fibers',
      fiberColumns(this.describe),
      this.fibers.all().map(({ key, tally }) => ({
        headCable: key.cable,
        headFiber: key.fiber,
        ...rollUp(tally, 'fiber', limits),
      })),
    );
    await this.matter('closing', CLOSING, this.closing);
    await this.matter(
      'removed',
      retiredColumns(spliceColumns(this.describe, extras, wavelengths)),
      this.retired,
    );
  }

  /** A matter as a sheet and as CSV. */
  private async matter<Row>(
    name: string,
    columns: Column<Row>[],
    rows: readonly Row[],
  ): Promise<void> {
    this.book.begin(name, columns);
    await this.book.add(rows);
    const csv = await new CsvFile(
      await PackageFile.open(
        this.open.folder,
        `csv/${name.replace(' ', '-')}.csv`,
        name[0]!.toUpperCase() + name.slice(1),
      ),
      columns,
    ).begin();
    await csv.add(rows);
    this.files.push(await csv.file.close());
  }

  private geoJson(): object {
    const rows = new Map(this.open.rows.map((row) => [row.closureId, row]));
    return writeGeoJson(this.open.project, this.open.closures, ({ id }) => {
      const row = rows.get(id)!;
      return {
        verdict: row.verdict,
        splices: row.total,
        done: row.done,
        due: row.due,
        simulated: row.simulated,
        worstDb: row.maxHalf === null ? null : row.maxHalf / 2000,
        meanDb: row.figures === 0 ? null : Number((row.sumHalf / row.figures / 2000).toFixed(6)),
        signed: row.closing === 'done',
      };
    });
  }
}

/** A splice as the document has it: without what is derived. */
const plainSplice = (row: PackageSplice, { project }: Open) => ({
  id: row.id,
  projectId: project.id,
  closureId: row.closureId,
  tray: row.tray,
  slot: row.slot,
  cableA: row.cableA,
  fiberA: row.fiberA,
  cableB: row.cableB,
  fiberB: row.fiberB,
  method: row.method,
  extra: row.extra,
});
