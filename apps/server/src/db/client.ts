import { chmod, mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { type SQL } from 'drizzle-orm';
import { drizzle as drizzlePg } from 'drizzle-orm/node-postgres';
import { migrate as migratePg } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import pg from 'pg';
import { lockFolder } from './lock.ts';
import * as schema from './schema.ts';

/** The database, whichever driver stands behind it. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  close(): Promise<void>;
}

/**
 * Opens PGlite in a folder, under an exclusive lock, and brings its tables up to date.
 * @throws FolderInUse where another process has the folder
 */
export async function openFolder(folder: string, migrationsFolder: string): Promise<OpenDb> {
  await mkdir(folder, { recursive: true });
  // What is recorded is read by whoever runs the server, and by nobody else on the machine.
  await chmod(folder, 0o700);
  const lock = await lockFolder(folder);
  try {
    const client = await PGlite.create(join(folder, 'pg'));
    const db = drizzlePglite(client, { schema });
    await migratePglite(db, { migrationsFolder });
    // Nothing in the embedded database does this by itself, and plans go by it.
    await client.exec('analyze');
    return {
      db: db as unknown as Db,
      close: async () => {
        await client.close();
        await lock.release();
      },
    };
  } catch (error) {
    await lock.release();
    throw error;
  }
}

/** Opens a PostgreSQL server by its URL and brings its tables up to date. */
export async function openServer(url: string, migrationsFolder: string): Promise<OpenDb> {
  const pool = new pg.Pool({ connectionString: url });
  const db = drizzlePg(pool, { schema });
  await migratePg(db, { migrationsFolder });
  return { db: db as unknown as Db, close: () => pool.end() };
}

/** Opens PGlite in memory, from a dump of a prepared folder where one is given; for tests and benches. */
export async function openMemory(
  migrationsFolder: string,
  dump?: Blob,
): Promise<OpenDb & { dump(): Promise<Blob> }> {
  const client = await PGlite.create(dump ? { loadDataDir: dump } : {});
  const db = drizzlePglite(client, { schema });
  await migratePglite(db, { migrationsFolder });
  return {
    db: db as unknown as Db,
    close: () => client.close(),
    dump: () => client.dumpDataDir('none'),
  };
}

/** Runs a statement and gives its rows; both drivers answer with `rows`. */
export async function rowsOf<Row>(db: Pick<Db, 'execute'>, query: SQL): Promise<Row[]> {
  const result = (await db.execute(query)) as unknown as { rows: Row[] };
  return result.rows;
}
