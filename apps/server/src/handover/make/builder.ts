import type { Evidence } from '@cordel/core';
import type { Photo } from '@cordel/core/close';
import { builder as say } from '@cordel/text/handover/builder';
import type { PlacedEvidence } from '../../exchange/columns.ts';
import { describer } from '../../exchange/describer.ts';
import type { PackageClosure, PackageMessage, PackageSplice } from '../messages.ts';
import { FileNames } from './fileNames.ts';
import { type PackageFile, writeWhole } from './file.ts';
import { ChainWriter } from './writers/chainWriter.ts';
import { DocumentWriter } from './writers/documentWriter.ts';
import type { OpenMessage, PackageContext, PackageWriter } from './writers/packageWriter.ts';
import { PdfWriter } from './writers/pdfWriter.ts';
import { TablesWriter } from './writers/tablesWriter.ts';
import { type SignedFile, WholeFiles } from './writers/wholeFiles.ts';
import { zipFiles } from './zip.ts';

/** Size in bytes and SHA-256 of a package. */
export interface BuiltPackage {
  size: number;
  digest: string;
}

/** Builds a package from what it is told, part by part, and holds no more of it than one closure. */
export class PackageBuilder {
  private open!: OpenMessage;
  private writers: PackageWriter[] = [];
  private wholeFiles!: WholeFiles;
  /** Where splices lie, for their evidence. */
  private readonly places = new Map<string, [closure: string, tray: number, slot: number]>();
  private current: { own: PackageClosure; splices: PackageSplice[]; photos: Photo[] } | null = null;

  /** Takes the next part. @returns the package once it is finished, before that null */
  async take(message: PackageMessage): Promise<BuiltPackage | null> {
    switch (message.kind) {
      case 'open':
        await this.begin(message);
        return null;
      case 'closure':
        await this.endClosure();
        this.current = { own: message.closure, splices: [], photos: [] };
        this.place(message.closure.retired);
        await this.each((writer) => writer.closure?.(message.closure));
        return null;
      case 'splices':
        this.current!.splices.push(...message.splices);
        this.place(message.splices);
        await this.each((writer) => writer.splices?.(message.splices));
        return null;
      case 'photo':
        this.current!.photos.push(message.photo);
        await this.each((writer) => writer.photo?.(message.photo));
        return null;
      case 'evidence': {
        await this.endClosure();
        const entries = JSON.parse(message.json) as Evidence[];
        const placed = entries.map(this.placed);
        await this.each((writer) => writer.evidence?.(placed, entries));
        return null;
      }
      case 'trace': {
        await this.endClosure();
        const bytes = Buffer.from(message.trace.bytes, 'base64');
        await this.each((writer) => writer.trace?.(message, bytes));
        return null;
      }
      case 'document photo':
        await this.each((writer) => writer.documentPhoto?.(message.photo));
        return null;
      case 'record':
        await this.each((writer) => writer.record?.(message.record));
        return null;
      case 'chain':
        await this.each((writer) => writer.chain?.(message));
        return null;
      case 'finish':
        await this.endClosure();
        return this.finish();
    }
  }

  /** One after the other: their files are written in a known order. */
  private async each(tell: (writer: PackageWriter) => Promise<void> | undefined): Promise<void> {
    for (const writer of this.writers) await tell(writer);
  }

  private async begin(open: OpenMessage): Promise<void> {
    this.open = open;
    const names = new FileNames();
    const context: PackageContext = {
      open,
      describe: describer(open.cables, open.schemes),
      fileName: (text, ending) => names.next(text, ending),
    };
    this.wholeFiles = new WholeFiles(context);
    this.writers = [await PdfWriter.open(context), await TablesWriter.open(context)];
    if (open.document) this.writers.push(await DocumentWriter.open(context, open.document));
    this.writers.push(this.wholeFiles, new ChainWriter(context));
  }

  private place(splices: readonly PackageSplice[]): void {
    for (const { id, closure, tray, slot } of splices) this.places.set(id, [closure, tray, slot]);
  }

  private readonly placed = (entry: Evidence): PlacedEvidence => {
    const [closure, tray, slot] = this.places.get(entry.spliceId) ?? ['', 0, 0];
    return { entry, closure, tray, slot };
  };

  /** All of a closure is there: what is written of it as a whole can be. */
  private async endClosure(): Promise<void> {
    const { current } = this;
    if (!current) return;
    this.current = null;
    await this.each((writer) => writer.wholeClosure?.(current));
  }

  private async finish(): Promise<BuiltPackage> {
    const { folder, file } = this.open;
    const files: PackageFile[] = [];
    for (const writer of this.writers) files.push(...(await writer.finish()));
    const add = async (path: string, what: string, content: string) =>
      files.push(await writeWhole(folder, path, what, content));
    files.sort(byPath);
    const manifest = manifestOf(this.open, files, this.wholeFiles.signed);
    await add(
      'manifest.json',
      say('whatIsInHereWithSha'),
      `${JSON.stringify(manifest, null, 1)}\n`,
    );
    const sums = files.map(({ path, digest }) => `${digest}  ${path}\n`).join('');
    await add('SHA256SUMS', say('forSha256sumC'), sums);
    return zipFiles(folder, files.sort(byPath), file);
  }
}

const byPath = (a: PackageFile, b: PackageFile): number => (a.path < b.path ? -1 : 1);

const manifestOf = (
  { project, closureId, moment }: OpenMessage,
  files: readonly PackageFile[],
  signed: readonly SignedFile[],
) => ({
  format: 'cordel.package',
  version: 1,
  project: { id: project.id, name: project.name, practiceOnly: project.practiceOnly },
  closureId,
  newestEntry: moment,
  files: files.map(({ path, size, digest, what }) => ({
    path,
    bytes: size,
    sha256: digest,
    what,
  })),
  signed,
});
