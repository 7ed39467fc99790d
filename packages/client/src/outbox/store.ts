import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { OldWrite } from './oldWrites.ts';
import type { Write } from './write.ts';

interface Schema extends DBSchema {
  writes: { key: string; value: Write };
}

interface OldSchema extends DBSchema {
  writes: { key: string; value: OldWrite };
}

const NAME = 'cordel-commands';
/** Of pages that had no commands; one of them may still be open in another tab, and goes on with it. */
const OLD_NAME = 'cordel-outbox';

/** Opening may throw at once where storage is forbidden. */
const opened = <Of extends DBSchema>(name: string): Promise<IDBPDatabase<Of> | null> =>
  Promise.resolve()
    .then(() =>
      openDB<Of>(name, 1, {
        upgrade: (db) => void db.createObjectStore('writes' as never, { keyPath: 'id' }),
      }),
    )
    .catch(() => null);

/** Where writes are kept on the device. Storage may be full or forbidden at any time. */
export class WriteStore {
  private readonly database = opened<Schema>(NAME);

  /** @returns whether it is stored */
  async put(write: Write): Promise<boolean> {
    const database = await this.database;
    if (!database) return false;
    return database.put('writes', write).then(
      () => true,
      () => false,
    );
  }

  async delete(ids: readonly string[]): Promise<void> {
    try {
      const change = (await this.database)?.transaction('writes', 'readwrite');
      await Promise.all([...ids.map((id) => change?.store.delete(id)), change?.done]);
    } catch {
      // The outbox knows of itself which are gone.
    }
  }

  /** All that is stored, the oldest first; null where there is no storage. */
  async all(): Promise<Write[] | null> {
    const database = await this.database;
    return database && database.getAll('writes').catch((): Write[] => []);
  }

  /** Takes over what pages without commands left. Only for whoever has the outbox's lock: nobody sends meanwhile. */
  async takeOver(): Promise<void> {
    if (!(await this.database)) return;
    const old = await opened<OldSchema>(OLD_NAME);
    if (!old) return;
    const writes = await old.getAll('writes').catch((): OldWrite[] => []);
    if (writes.length > 0) {
      // Once on a device: a page does without it.
      const { fromOldWrite } = await import('./oldWrites.ts');
      for (const write of writes) {
        const command = fromOldWrite(write);
        // What is no command of ours stays where it is.
        if (command && (await this.put(command)))
          await old.delete('writes', write.id).catch(() => {});
      }
    }
    old.close();
  }
}
