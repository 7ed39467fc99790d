import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface Schema extends DBSchema {
  answers: { key: string; value: unknown };
}

/**
 * What the server answered last, kept on the device so that a page shows it at once and without a connection. It can
 * be let go at any time: the server has it.
 */
export class AnswerStore<Value = unknown> {
  private readonly database: Promise<IDBPDatabase<Schema> | null> = Promise.resolve()
    .then(() =>
      openDB<Schema>('cordel-answers', 1, {
        upgrade: (db) => void db.createObjectStore('answers'),
      }),
    )
    .catch(() => null);

  getItem = async (key: string): Promise<Value | undefined> => {
    const found = await (await this.database)?.get('answers', key).catch(() => undefined);
    return found as Value | undefined;
  };

  /** Storage that is full or forbidden keeps nothing. */
  setItem = async (key: string, value: Value): Promise<void> => {
    await (await this.database)?.put('answers', value, key).catch(() => {});
  };

  removeItem = async (key: string): Promise<void> => {
    await (await this.database)?.delete('answers', key).catch(() => {});
  };

  entries = async (): Promise<[key: string, value: Value][]> => {
    const database = await this.database;
    if (!database) return [];
    const [keys, values] = await Promise.all([
      database.getAllKeys('answers'),
      database.getAll('answers'),
    ]).catch((): [string[], unknown[]] => [[], []]);
    return keys.map((key, index) => [key, values[index] as Value]);
  };

  /** Makes room for what is nowhere else. */
  clear = async (): Promise<void> => {
    await (await this.database)?.clear('answers').catch(() => {});
  };
}
