import type { StreamedPart } from '../messages.ts';
import type { PackageFile } from './file.ts';

const PARTS: StreamedPart[] = ['splices', 'evidence', 'traces', 'photos'];

/** Lists of a document, one after the other, each written as it comes. */
export class DocumentFile {
  private readonly file: PackageFile;
  private part: StreamedPart | null = null;
  private first = true;
  private readonly begun = new Set<StreamedPart>();

  constructor(file: PackageFile) {
    this.file = file;
  }

  async begin(head: object): Promise<void> {
    await this.file.write(JSON.stringify(head).slice(0, -1));
  }

  async add(part: StreamedPart, items: readonly unknown[]): Promise<void> {
    if (part !== this.part) {
      await this.file.write(`${this.part === null ? '' : ']'},"${part}":[`);
      this.part = part;
      this.begun.add(part);
      this.first = true;
    }
    for (const item of items) {
      await this.file.write(`${this.first ? '' : ',\n'}${JSON.stringify(item)}`);
      this.first = false;
    }
  }

  /** Ends it; parts of which nothing came are empty. */
  async close(): Promise<PackageFile> {
    for (const part of PARTS) if (!this.begun.has(part)) await this.add(part, []);
    await this.file.write(']}');
    return this.file.close();
  }
}
