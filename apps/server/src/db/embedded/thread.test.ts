import { mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { type OpenFolder, openByPort, openFolder, rowsOf } from '../client.ts';

const MIGRATIONS = fileURLToPath(new URL('../../../drizzle', import.meta.url));

let folder: string;
let open: OpenFolder;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-thread-'));
  open = await openFolder(folder, MIGRATIONS);
  await rowsOf(open.db, sql`create table notes (id int primary key, words text)`);
});
afterAll(async () => {
  await open.close();
  await rm(folder, { recursive: true, force: true });
});

const count = async (db = open.db) =>
  (await rowsOf<{ notes: number }>(db, sql`select count(*)::int as notes from notes`))[0]!.notes;

describe('the embedded database on its thread', () => {
  it('keeps the transactions of two clients apart', async () => {
    const other = await openByPort(open.port, null);
    const order: string[] = [];
    const long = other.db.transaction(async (tx) => {
      await tx.execute(sql`insert into notes values (1, 'first')`);
      order.push('begun');
      await new Promise((resolve) => setTimeout(resolve, 100));
      await tx.execute(sql`insert into notes values (2, 'second')`);
      order.push('done');
    });
    while (order.length === 0) await new Promise((resolve) => setTimeout(resolve, 5));
    const seen = await count();
    order.push('read');
    await long;
    expect(seen).toBe(2);
    expect(order).toEqual(['begun', 'done', 'read']);
    await other.close();
  });

  it('takes back what a client began and left', async () => {
    const before = await count();
    let leave = (): void => undefined;
    const other = await openByPort(async () => {
      const port = await open.port();
      leave = () => port.close();
      return port;
    }, null);
    const left = other.db.transaction(async (tx) => {
      await tx.execute(sql`insert into notes values (3, 'third')`);
      leave();
      await tx.execute(sql`insert into notes values (4, 'fourth')`);
    });
    await expect(left).rejects.toThrow();
    expect(await count()).toBe(before);
  });

  it('gives errors to whom they belong, and goes on', async () => {
    const other = await openByPort(open.port, null);
    const wrong = rowsOf(other.db, sql`insert into notes values (1, 'again')`);
    const [bad, good] = await Promise.allSettled([wrong, count()]);
    expect(bad).toMatchObject({ reason: { cause: { code: '23505' } } });
    expect(good.status).toBe('fulfilled');
    expect(await count(other.db)).toBe(await count());
    await other.close();
  });

  it('brings answers of megabytes whole', async () => {
    const [row] = await rowsOf<{ long: string }>(
      open.db,
      sql`select repeat('fiber ', 2000000) as long`,
    );
    expect(row!.long).toHaveLength(12_000_000);
  });

  it('leaves nothing that others on the machine can read', async () => {
    const entries = await readdir(folder, { recursive: true, withFileTypes: true });
    const modes = await Promise.all(
      entries.map(async (entry) => (await stat(join(entry.parentPath, entry.name))).mode & 0o077),
    );
    // Files of the lock are made by the test's process, whose mask is its own.
    const inside = entries.map(({ parentPath }) => parentPath !== folder);
    expect(modes.filter((mode, index) => inside[index] && mode !== 0)).toEqual([]);
  });
});
