import { createWriteStream } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { v7 as uuid } from 'uuid';
import type { PackedDocument } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import type { Room } from '../../disk/room.ts';
import { Problem } from '../../http/problem.ts';
import { type DocumentFiles, Spool } from './files.ts';
import { readBody } from './readBody.ts';
import { readStreamed } from './streamedBody.ts';
import { openZip } from './zip.ts';

const MEGABYTE = 1024 * 1024;
const MOST_BYTES = { json: 2048 * MEGABYTE, zip: 16_384 * MEGABYTE };
/** The first bytes of a zip. Source: PKWARE's APPNOTE 6.3.10, 4.3.7: a local file header. */
const ZIP_SIGN = [0x50, 0x4b, 0x03, 0x04];

/** A document that has come in whole, with its files. */
export interface Arrived {
  document: PackedDocument;
  files: DocumentFiles;
  /** Removes what lies on the disk of it. */
  close(): Promise<void>;
}

type Body = AsyncIterable<Uint8Array>;

/**
 * Reads a project's document, JSON or zip, as it comes. What it may be is told by its first bytes, for browsers name
 * types by the endings of names.
 * @param folder where files are put meanwhile
 * @throws Problem 400, 413 or 422 where it is none, each error at its place; 507 where the disk has no room for it
 */
export async function arrive(body: Body | null, folder: string, room: Room): Promise<Arrived> {
  // Named as what a start removes: an import may be cut off.
  const own = join(folder, `${uuid()}.making`);
  await mkdir(own, { recursive: true, mode: 0o700 });
  const remove = () => rm(own, { recursive: true, force: true });
  try {
    const { isZip, bytes } = await lookAt(body ?? noBody());
    return await (isZip
      ? arriveZip(bytes, join(own, 'project.zip'), room, remove)
      : arriveJson(bytes, new Spool(join(own, 'files')), remove));
  } catch (error) {
    await remove();
    throw error;
  }
}

async function arriveJson(body: Body, spool: Spool, remove: () => Promise<void>): Promise<Arrived> {
  const close = async () => {
    await spool.close();
    await remove();
  };
  try {
    const read = await readStreamed(bounded(body, MOST_BYTES.json), (list, id, bytes) =>
      spool.keep(list, id, bytes),
    );
    return { document: readBody(read), files: spool, close };
  } catch (error) {
    await spool.close();
    throw error;
  }
}

async function arriveZip(
  body: Body,
  path: string,
  room: Room,
  remove: () => Promise<void>,
): Promise<Arrived> {
  await pipeline(
    Readable.from(roomFor(bounded(body, MOST_BYTES.zip), room)),
    createWriteStream(path, { mode: 0o600 }),
  );
  const zip = await openZip(path);
  try {
    const read = await readStreamed(bounded(zip.document(), MOST_BYTES.json), () => undefined);
    return {
      document: readBody(read),
      files: zip.files,
      close: async () => {
        zip.close();
        await remove();
      },
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function* noBody(): AsyncGenerator<Uint8Array> {}

/** Looks at the first bytes of a body, and gives all of it. */
async function lookAt(body: Body): Promise<{ isZip: boolean; bytes: Body }> {
  const rest = body[Symbol.asyncIterator]();
  let first = new Uint8Array();
  while (first.length < ZIP_SIGN.length) {
    const { done, value } = await rest.next();
    if (done) break;
    first = new Uint8Array(Buffer.concat([first, value]));
  }
  async function* all() {
    yield first;
    yield* { [Symbol.asyncIterator]: () => rest };
  }
  return { isZip: ZIP_SIGN.every((byte, at) => first[at] === byte), bytes: all() };
}

async function* bounded(body: Body, most: number): AsyncGenerator<Uint8Array> {
  let length = 0;
  for await (const bytes of body) {
    length += bytes.length;
    if (length > most) throw new Problem(413, say('bodyTooLarge', { megabytes: most / MEGABYTE }));
    yield bytes;
  }
}

/** The disk is not filled by what is only put down for a while. */
async function* roomFor(body: Body, room: Room): AsyncGenerator<Uint8Array> {
  for await (const bytes of body) {
    await room.need(bytes.length);
    yield bytes;
  }
}
