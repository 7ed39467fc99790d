import { type DBSchema, openDB } from 'idb';
import type { Write } from './write.ts';

/** A write that the server has, and when it took it. */
type Sent = Write & { sentAt: string };

interface Schema extends DBSchema {
  sent: { key: string; value: Sent; indexes: { sentAt: string } };
}

/** As long as a server keeps a backup of every day. */
const KEPT_DAYS = 14;

/**
 * What was recorded here and the server has, for the case that the server is lost and comes back from an older backup. It
 * can be let go at any time.
 */
export class SentStore {
  private readonly database = Promise.resolve()
    .then(() =>
      openDB<Schema>('cordel-sent', 1, {
        upgrade: (db) =>
          void db.createObjectStore('sent', { keyPath: 'id' }).createIndex('sentAt', 'sentAt'),
      }),
    )
    .catch(() => null);

  async keep(writes: readonly Write[]): Promise<void> {
    const sentAt = new Date().toISOString();
    try {
      const change = (await this.database)?.transaction('sent', 'readwrite');
      const puts = writes.map((write) => change?.store.put({ ...write, sentAt }));
      await Promise.all([...puts, change?.done]);
    } catch {
      // Storage is full or was closed: it is on the server.
    }
  }

  /** All that is kept, in the order in which it was made. */
  async all(): Promise<Write[]> {
    const kept = await (await this.database)?.getAll('sent').catch((): Sent[] => []);
    return (kept ?? []).map(({ sentAt: _sentAt, ...write }) => write);
  }

  /** Lets go what is older than any backup that a server would come back from. */
  async prune(now = Date.now()): Promise<void> {
    const before = new Date(now - KEPT_DAYS * 24 * 3_600_000).toISOString();
    const database = await this.database;
    const old = await database
      ?.getAllKeysFromIndex('sent', 'sentAt', IDBKeyRange.upperBound(before))
      .catch((): string[] => []);
    for (const id of old ?? []) await database?.delete('sent', id).catch(() => {});
  }

  async clear(): Promise<void> {
    await (await this.database)?.clear('sent').catch(() => {});
  }
}
