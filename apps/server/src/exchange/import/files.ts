import { closeSync, openSync, readSync, writeSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import type { FileList, PackedDocument, ProjectDocument } from '@cordel/core/document';

/** The files that a document's rows have, wherever they lie. */
export interface DocumentFiles {
  /** Length of a file in bytes; null where there is none. */
  sizeOf(list: FileList, id: string): number | null;
  /** @throws Problem 422 where the file is there and cannot be read */
  bytesOf(list: FileList, id: string): Promise<Uint8Array>;
}

const keyOf = (list: FileList, id: string): string => `${list} ${id}`;

/** Files that are put on the disk as they come, so that they never lie in memory together. */
export class Spool implements DocumentFiles {
  private fd: number | null = null;
  private length = 0;
  private readonly places = new Map<string, { at: number; length: number }>();

  constructor(private readonly path: string) {}

  keep(list: FileList, id: string, bytes: Uint8Array): void {
    this.fd ??= openSync(this.path, 'wx+', 0o600);
    for (let done = 0; done < bytes.length;)
      done += writeSync(this.fd, bytes, done, bytes.length - done, this.length + done);
    this.places.set(keyOf(list, id), { at: this.length, length: bytes.length });
    this.length += bytes.length;
  }

  sizeOf(list: FileList, id: string): number | null {
    return this.places.get(keyOf(list, id))?.length ?? null;
  }

  bytesOf(list: FileList, id: string): Promise<Uint8Array> {
    const { at, length } = this.places.get(keyOf(list, id))!;
    const bytes = new Uint8Array(length);
    for (let done = 0; done < length;)
      done += readSync(this.fd!, bytes, done, length - done, at + done);
    return Promise.resolve(bytes);
  }

  async close(): Promise<void> {
    if (this.fd === null) return;
    closeSync(this.fd);
    this.fd = null;
    await rm(this.path, { force: true });
  }
}

const fromBase64 = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'base64'));

/** A document that lies in memory whole, with its files by themselves. */
export function unpacked(document: ProjectDocument): {
  document: PackedDocument;
  files: DocumentFiles;
} {
  const texts = new Map<string, string>();
  const without = <Row extends { id: string; bytes: string }>(list: FileList, rows: Row[]) =>
    rows.map(({ bytes, ...row }) => {
      texts.set(keyOf(list, row.id), bytes);
      return row;
    });
  return {
    document: {
      ...document,
      traces: without('traces', document.traces),
      photos: without('photos', document.photos),
    },
    files: {
      sizeOf: (list, id) => {
        const text = texts.get(keyOf(list, id));
        return text === undefined ? null : Buffer.byteLength(text, 'base64');
      },
      bytesOf: (list, id) => Promise.resolve(fromBase64(texts.get(keyOf(list, id))!)),
    },
  };
}
