import { type DBSchema, openDB } from 'idb';
import { PIECE_BYTES, type Upload } from '@cordel/core';
import { type Api, answerOf } from '../api/api.ts';
import { unreached } from '../api/problems.ts';

interface Schema extends DBSchema {
  files: { key: string; value: Uint8Array };
}

/** A file that a write carries: named by its content. */
export interface CarriedFile extends Upload {
  bytes: Uint8Array;
}

/** Files on the device that writes carry, by their digests. What storage does not take stays in memory. */
export class FileStore {
  private readonly database = Promise.resolve()
    .then(() =>
      openDB<Schema>('cordel-files', 1, { upgrade: (db) => void db.createObjectStore('files') }),
    )
    .catch(() => null);
  private readonly inMemory = new Map<string, Uint8Array>();

  /** Takes a file into memory, until it is stored: it may be sent before. */
  hold({ digest, bytes }: CarriedFile): void {
    this.inMemory.set(digest, bytes);
  }

  /** Stores a file that is in memory only. @returns whether it is stored */
  async keep({ digest }: Upload): Promise<boolean> {
    const bytes = this.inMemory.get(digest);
    if (!bytes) return true;
    const stored = await (await this.database)?.put('files', bytes, digest).then(
      () => true,
      () => false,
    );
    if (stored) this.inMemory.delete(digest);
    return Boolean(stored);
  }

  async get(digest: string): Promise<Uint8Array | null> {
    const held = this.inMemory.get(digest);
    if (held) return held;
    const stored = await (await this.database)?.get('files', digest).catch(() => undefined);
    return stored ?? null;
  }

  async delete(digest: string): Promise<void> {
    this.inMemory.delete(digest);
    await (await this.database)?.delete('files', digest).catch(() => {});
  }
}

/** Whether a file is sent in pieces before its record; a smaller one goes along with it. */
export const isInPieces = ({ size }: Upload): boolean => size > PIECE_BYTES;

/**
 * Sends a file in pieces, from where it stopped before.
 * @param onSent told how many of its bytes the server has; it answers whether to go on
 * @returns whether all of it is there
 */
export async function sendPieces(
  api: Api,
  { digest, size }: Upload,
  bytes: Uint8Array,
  onSent: (bytes: number) => boolean,
): Promise<boolean> {
  let { received } = await answerOf(
    api.GET('/api/uploads/{digest}', { params: { path: { digest } } }),
  );
  while (received < size) {
    if (!onSent(received)) return false;
    const piece = bytes.slice(received, received + PIECE_BYTES);
    const answer = await answerOf(
      api.PUT('/api/uploads/{digest}/{start}', {
        params: { path: { digest, start: received } },
        body: piece as unknown as string,
        bodySerializer: (body) => body,
        headers: { 'content-type': 'application/octet-stream' },
      }),
    );
    // Another device sent the same file, and it is in its place: what is left to do shows later.
    if (answer.received <= received) throw unreached();
    ({ received } = answer);
  }
  onSent(received);
  return true;
}

/** Bytes in base 64 (RFC 4648, section 4). */
export function base64Of(bytes: Uint8Array): string {
  let text = '';
  // In parts: a call takes only so many arguments.
  for (let start = 0; start < bytes.length; start += 0x8000)
    text += String.fromCharCode(...bytes.subarray(start, start + 0x8000));
  return btoa(text);
}
