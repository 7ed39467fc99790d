import type { Evidence } from '@cordel/core';
import type { Photo } from '@cordel/core/close';
import { type ProjectDocument, documentJsonSchema } from '@cordel/core/document';
import { builder as say } from '@cordel/text/handover/builder';
import type { PlacedEvidence } from '../../../exchange/columns.ts';
import type { PackageClosure, PackageSplice, StreamedPart } from '../../messages.ts';
import { DocumentFile } from '../documentFile.ts';
import { PackageFile, writeWhole } from '../file.ts';
import type { PackageContext, PackageWriter, TraceMessage } from './packageWriter.ts';

/** The whole project as one document that can be imported again, and its JSON Schema. */
export class DocumentWriter implements PackageWriter {
  private readonly context: PackageContext;
  private readonly document: DocumentFile;

  private constructor(context: PackageContext, document: DocumentFile) {
    this.context = context;
    this.document = document;
  }

  /** @param head all of the project but for what comes one by one */
  static async open(
    context: PackageContext,
    head: Omit<ProjectDocument, StreamedPart>,
  ): Promise<DocumentWriter> {
    const document = new DocumentFile(
      await PackageFile.open(context.open.folder, 'project.json', say('theWholeProject')),
    );
    await document.begin(head);
    return new DocumentWriter(context, document);
  }

  closure(own: PackageClosure): Promise<void> {
    return this.splices(own.retired);
  }

  async splices(rows: readonly PackageSplice[]): Promise<void> {
    await this.document.add('splices', rows.map(this.plainSplice));
  }

  async evidence(_placed: readonly PlacedEvidence[], entries: readonly Evidence[]): Promise<void> {
    await this.document.add('evidence', entries);
  }

  async trace({ trace }: TraceMessage): Promise<void> {
    await this.document.add('traces', [trace]);
  }

  async documentPhoto(photo: Photo): Promise<void> {
    await this.document.add('photos', [photo]);
  }

  async finish(): Promise<PackageFile[]> {
    const schema = await writeWhole(
      this.context.open.folder,
      'project.schema.json',
      say('jsonSchemaOfProject'),
      JSON.stringify(documentJsonSchema()),
    );
    return [await this.document.close(), schema];
  }

  /** A splice as the document has it: without what is derived. */
  private readonly plainSplice = (row: PackageSplice) => ({
    id: row.id,
    projectId: this.context.open.project.id,
    closureId: row.closureId,
    tray: row.tray,
    slot: row.slot,
    cableA: row.cableA,
    fiberA: row.fiberA,
    legA: row.legA,
    cableB: row.cableB,
    fiberB: row.fiberB,
    legB: row.legB,
    method: row.method,
    end: row.end,
    extra: row.extra,
  });
}
