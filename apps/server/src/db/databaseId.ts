import { randomUUID } from 'node:crypto';
import { serverKey } from '../accounts/keys.ts';
import type { Db } from './client.ts';

/** Tells in every answer which database it comes from. */
export const DATABASE_HEADER = 'x-cordel-database';

/**
 * Names a database: made at its first start, and in no backup. One that was restored has another: clients find out by it
 * that they may know more than the server. Null while it cannot be asked.
 */
export function databaseId(db: Db): () => Promise<string | null> {
  let known: Promise<string | null> | null = null;
  return () =>
    (known ??= Promise.resolve()
      .then(() => serverKey(db, 'database', randomUUID))
      .catch(() => {
        // The database may be away for a moment.
        known = null;
        return null;
      }));
}
