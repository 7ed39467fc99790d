import { crc32 } from 'node:zlib';
import { type Entry, type ZipFile, openPromise } from 'yauzl';
import { FILE_LISTS, PACKED_DOCUMENT, packedPath } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import { Problem } from '../../http/problem.ts';
import type { DocumentFiles } from './files.ts';

/** As many as the rows of a document that have a file, and then some. */
const MOST_ENTRIES = 500_000;
const NO_ZIP = say('notAZip');
const NO_DOCUMENT = say('noDocument', { file: PACKED_DOCUMENT });

/** A project's zip: its document as it is read, and the files beside it. */
export interface ProjectZip {
  document(): AsyncIterable<Uint8Array>;
  files: DocumentFiles;
  close(): void;
}

/**
 * Opens a project's zip on the disk. Nothing of it is unpacked but what is asked for, and only into memory.
 * @throws Problem 422 where it is no zip, or has no document
 */
export async function openZip(path: string): Promise<ProjectZip> {
  const zip = await orNoZip(openPromise(path, { autoClose: false, lazyEntries: true }));
  try {
    const entries = await orNoZip(readEntries(zip));
    const document = entries.get(PACKED_DOCUMENT);
    if (!document) throw new Problem(422, NO_DOCUMENT);
    const entryOf = (list: (typeof FILE_LISTS)[number], id: string) =>
      entries.get(packedPath(list, id));
    return {
      document: () => readable(bytesOf(zip, document)),
      files: {
        sizeOf: (list, id) => entryOf(list, id)?.uncompressedSize ?? null,
        bytesOf: async (list, id) => orNoZip(readWhole(zip, entryOf(list, id)!)),
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** What cannot be read of a zip is the zip's fault. */
async function orNoZip<Found>(found: Promise<Found>): Promise<Found> {
  try {
    return await found;
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(422, NO_ZIP);
  }
}

/** The same of bytes that are read as they are asked for. */
async function* readable(bytes: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = bytes[Symbol.asyncIterator]();
  try {
    for (;;) {
      const { done, value } = await orNoZip(reader.next());
      if (done) return;
      yield value;
    }
  } finally {
    await reader.return?.();
  }
}

async function readEntries(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES)
    throw new Problem(413, say('tooManyFiles', { most: MOST_ENTRIES }));
  const entries = new Map<string, Entry>();
  for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
  return entries;
}

async function readWhole(zip: ZipFile, entry: Entry): Promise<Uint8Array> {
  const pieces: Uint8Array[] = [];
  for await (const piece of bytesOf(zip, entry)) pieces.push(piece);
  return new Uint8Array(Buffer.concat(pieces));
}

/**
 * An entry's bytes, held against its checksum. More than the entry says is an error of the stream: no file is larger
 * than it was looked at for.
 */
async function* bytesOf(zip: ZipFile, entry: Entry): AsyncGenerator<Uint8Array> {
  let sum = 0;
  for await (const piece of await zip.openReadStreamPromise(entry)) {
    sum = crc32(piece as Uint8Array, sum);
    yield piece as Uint8Array;
  }
  if (sum !== entry.crc32) throw new Problem(422, NO_ZIP);
}
