import { createReadStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { and, count, eq } from 'drizzle-orm';
import type { Db } from '../db/client.ts';
import { packagePieces } from '../db/schema.ts';

/** Where packages are kept that are made. */
export interface PackageStore {
  /** Takes over a file that was made; nothing of it is left where it lay. */
  keep(id: string, made: string): Promise<void>;
  has(id: string): Promise<boolean>;
  read(id: string): ReadableStream<Uint8Array>;
}

const fileOf = (folder: string, id: string): string => join(folder, `${id}.zip`);

/** Files in a folder: for the one process that has an embedded database. */
export const folderStore = (folder: string): PackageStore => ({
  keep: (id, made) => rename(made, fileOf(folder, id)),
  has: (id) =>
    stat(fileOf(folder, id)).then(
      () => true,
      () => false,
    ),
  read: (id) => Readable.toWeb(createReadStream(fileOf(folder, id))) as ReadableStream<Uint8Array>,
});

/** Bytes of a piece: two of them are in memory at most. */
const PIECE = 1024 * 1024;

/** Pieces in the database: any process before it serves what another has made. */
export const databaseStore = (db: Db): PackageStore => ({
  keep: async (id, made) => {
    const file = await open(made);
    try {
      // All of it or nothing: who reads meanwhile finds none.
      await db.transaction(async (tx) => {
        for (let number = 0; ; number++) {
          const { bytesRead, buffer } = await file.read(Buffer.alloc(PIECE), 0, PIECE);
          if (bytesRead === 0) break;
          const bytes = new Uint8Array(buffer.subarray(0, bytesRead));
          await tx.insert(packagePieces).values({ packageId: id, number, bytes });
        }
      });
    } finally {
      await file.close();
    }
    await rm(made, { force: true });
  },
  has: async (id) => {
    const [row] = await db
      .select({ pieces: count() })
      .from(packagePieces)
      .where(eq(packagePieces.packageId, id));
    return row!.pieces > 0;
  },
  read: (id) => {
    let number = 0;
    return new ReadableStream<Uint8Array>({
      pull: async (stream) => {
        const [piece] = await db
          .select({ bytes: packagePieces.bytes })
          .from(packagePieces)
          .where(and(eq(packagePieces.packageId, id), eq(packagePieces.number, number++)));
        if (piece) stream.enqueue(piece.bytes);
        else stream.close();
      },
    });
  },
});
