import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface Schema extends DBSchema {
  answers: { key: string; value: unknown };
}

/** Stands between what a key says and whose it is. */
const MARK = ' of account ';

/**
 * What the server answered last, kept on the device so that a page shows it at once and without a connection. It can
 * be let go at any time: the server has it. Each account that works on the device finds what it was shown itself, and
 * nothing that others were.
 */
export class AnswerStore<Value = unknown> {
  /** @param account whoever works on the device; empty where nobody signs in */
  constructor(private readonly account: () => string = () => '') {}

  private readonly own = (key: string): string => `${key}${MARK}${this.account()}`;

  private readonly database: Promise<IDBPDatabase<Schema> | null> = Promise.resolve()
    .then(() =>
      openDB<Schema>('cordel-answers', 1, {
        upgrade: (db) => void db.createObjectStore('answers'),
      }),
    )
    .catch(() => null);

  getItem = async (key: string): Promise<Value | undefined> => {
    const found = await (await this.database)?.get('answers', this.own(key)).catch(() => undefined);
    return found as Value | undefined;
  };

  /** Storage that is full or forbidden keeps nothing. */
  setItem = async (key: string, value: Value): Promise<void> => {
    await (await this.database)?.put('answers', value, this.own(key)).catch(() => {});
  };

  removeItem = async (key: string): Promise<void> => {
    await (await this.database)?.delete('answers', this.own(key)).catch(() => {});
  };

  entries = async (): Promise<[key: string, value: Value][]> => {
    const database = await this.database;
    if (!database) return [];
    const [keys, values] = await Promise.all([
      database.getAllKeys('answers'),
      database.getAll('answers'),
    ]).catch((): [string[], unknown[]] => [[], []]);
    const end = this.own('');
    return keys.flatMap((key, index): [string, Value][] =>
      key.endsWith(end) ? [[key.slice(0, -end.length), values[index] as Value]] : [],
    );
  };

  /** Forgets what some accounts were shown. */
  forget = async (isGone: (account: string) => boolean): Promise<void> => {
    const database = await this.database;
    if (!database) return;
    const keys = await database.getAllKeys('answers').catch(() => []);
    for (const key of keys)
      if (isGone(key.slice(key.lastIndexOf(MARK) + MARK.length)))
        await database.delete('answers', key).catch(() => {});
  };

  /** Makes room for what is nowhere else. */
  clear = async (): Promise<void> => {
    await (await this.database)?.clear('answers').catch(() => {});
  };
}
