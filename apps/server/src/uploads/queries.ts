import { eq, lt, sql } from 'drizzle-orm';
import type { Upload } from '@cordel/core';
import { digestOf } from '@cordel/core/close';
import { uploadProblems as say } from '@cordel/text/server/uploads';
import { type Db, rowsOf } from '../db/client.ts';
import { uploadPieces } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';

/** How long pieces wait for the rest of their file. */
const KEPT_FOR = '30 days';

/** How much of a file is here, in bytes from its beginning. */
export async function receivedOf(db: Db, digest: string): Promise<number> {
  const [row] = await rowsOf<{ received: number }>(
    db,
    sql`select coalesce(sum(octet_length(bytes)), 0)::int as received
        from upload_pieces where digest = ${digest}`,
  );
  return row!.received;
}

/**
 * Keeps the next piece of a file. One that is here already, or whose turn it is not yet, changes nothing.
 * @param start where the piece begins, in bytes
 * @returns how much of the file is here then
 */
export async function keepPiece(
  db: Db,
  digest: string,
  start: number,
  bytes: Uint8Array,
): Promise<number> {
  const received = await receivedOf(db, digest);
  if (start !== received) return received;
  if (start === 0) await dropOldPieces(db);
  const coded = sql`decode(${Buffer.from(bytes).toString('base64')}, 'base64')`;
  await db.insert(uploadPieces).values({ digest, start, bytes: coded }).onConflictDoNothing();
  return receivedOf(db, digest);
}

const dropOldPieces = (db: Db): Promise<unknown> =>
  db.delete(uploadPieces).where(lt(uploadPieces.receivedAt, sql`now() - ${KEPT_FOR}::interval`));

/**
 * The bytes of a file that was sent in pieces.
 * @throws Problem 409 where some of it is missing, or what came is not what was meant
 */
async function uploadedFile(db: Db, { digest, size }: Upload): Promise<Uint8Array> {
  const pieces = await rowsOf<{ bytes: string }>(
    db,
    sql`select encode(bytes, 'base64') as bytes from upload_pieces where digest = ${digest} order by start`,
  );
  const file = Buffer.concat(pieces.map(({ bytes }) => Buffer.from(bytes, 'base64')));
  if (file.length < size) throw new Problem(409, say('fileIncomplete', { received: file.length }));
  const bytes = new Uint8Array(file);
  if (digestOf(bytes) === digest) return bytes;
  await dropUpload(db, digest);
  throw new Problem(409, say('fileIncomplete', { received: 0 }));
}

/** Lets the pieces of a file go: its record has it. */
export const dropUpload = (db: Db, digest: string): Promise<unknown> =>
  db.delete(uploadPieces).where(eq(uploadPieces.digest, digest));

/**
 * The bytes that a record comes with.
 * @param sent in base 64 within the record, or the name of the file that was sent before it in pieces
 * @throws Problem 422 where it is none of both, or both; see {@link uploadedFile}
 */
export async function bytesOf(
  db: Db,
  { bytes, file }: { bytes?: string | undefined; file?: Upload | undefined },
): Promise<Uint8Array> {
  if ((bytes === undefined) === (file === undefined))
    throw problemAt(422, '/bytes', say('onlyOneFile'));
  return file ? uploadedFile(db, file) : new Uint8Array(Buffer.from(bytes!, 'base64'));
}
