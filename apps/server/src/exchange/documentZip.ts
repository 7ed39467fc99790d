import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import { PACKED_DOCUMENT, packedPath } from '@cordel/core/document';
import { photoFile } from '../closing/queries.ts';
import type { Db } from '../db/client.ts';
import { traceFile } from '../traces/queries.ts';
import { documentText, fileIds, piecesOf, streamOf } from './documentStream.ts';
import type { readFrame } from './frame.ts';

/** Traces become half as long; more effort gains little of that and takes many times as long. */
const TRACE_LEVEL = 3;

/**
 * A whole project as a zip, piece by piece: its document, and beside it its traces and photos as files. One of them lies
 * in memory at a time.
 */
export async function documentZip(
  db: Db,
  projectId: string,
  frame: Awaited<ReturnType<typeof readFrame>>,
): Promise<ReadableStream<Uint8Array>> {
  const ids = await fileIds(db, projectId);
  const zip = new ZipFile();
  const output = zip.outputStream as Readable;
  (zip as unknown as NodeJS.EventEmitter).on('error', (error) => output.destroy(error as Error));
  const mode = 0o100644;
  zip.addReadStreamLazy(PACKED_DOCUMENT, { mode }, (give) =>
    give(null, Readable.from(piecesOf(documentText(db, projectId, frame, ids, 'beside')))),
  );
  const addFile = (path: string, compressionLevel: number, read: () => Promise<Uint8Array>) =>
    zip.addReadStreamLazy(path, { mode, compressionLevel }, (give) => {
      read().then(
        (bytes) => give(null, Readable.from([Buffer.from(bytes)])),
        (error: unknown) => give(error, Readable.from([])),
      );
    });
  for (const id of ids.traces)
    addFile(packedPath('traces', id), TRACE_LEVEL, async () => (await traceFile(db, id)).bytes);
  // They are packed already.
  for (const id of ids.photos) addFile(packedPath('photos', id), 0, () => photoFile(db, id));
  zip.end();
  return streamOf(output);
}
