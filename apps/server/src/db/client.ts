import { chmod, mkdir } from 'node:fs/promises';
import { type SQL } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { type Engine, openMemoryEngine } from './embedded/engine.ts';
import { EngineStopped, startThreadEngine } from './embedded/startThread.ts';
import { Wire } from './embedded/wire.ts';
import { lockFolder } from './lock.ts';
import * as schema from './schema.ts';

/** The database: PostgreSQL's own server, or the embedded one behind the same client. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  /** Resolves once all that was committed by now outlives a power cut. */
  synced(): Promise<void>;
  close(): Promise<void>;
}

/**
 * Opens the embedded database in a folder, under an exclusive lock, and brings its tables up to date.
 * @throws FolderInUse where another process has the folder
 */
export async function openFolder(folder: string, migrationsFolder: string): Promise<OpenDb> {
  await mkdir(folder, { recursive: true });
  // What is recorded is read by whoever runs the server, and by nobody else on the machine.
  await chmod(folder, 0o700);
  const lock = await lockFolder(folder);
  let running: Promise<Engine> | null = null;
  const engine = () =>
    (running ??= startThreadEngine(folder, () => {
      running = null;
    }));
  try {
    const open = await openEmbedded(engine, migrationsFolder);
    return {
      db: open.db,
      synced: async () => {
        // One that had to stop may not have kept what is asked for.
        if (!running) throw new EngineStopped('The embedded database stopped');
        await (await running).synced();
      },
      close: async () => {
        await open.close();
        await lock.release();
      },
    };
  } catch (error) {
    await lock.release();
    throw error;
  }
}

/** Opens the embedded database in memory, for tests. */
export async function openMemory(migrationsFolder: string): Promise<OpenDb> {
  const engine = await openMemoryEngine();
  return openEmbedded(() => Promise.resolve(engine), migrationsFolder);
}

/** The embedded database has one connection: who asks it waits in line. */
export async function openEmbedded(
  engine: () => Promise<Engine>,
  migrationsFolder: string,
): Promise<OpenDb> {
  const pool = new pg.Pool({
    stream: () => new Wire(engine) as never,
    max: 1,
    idleTimeoutMillis: 0,
    user: 'postgres',
    database: 'postgres',
  });
  const open = await openPool(pool, migrationsFolder);
  // Nothing in the embedded database does this by itself, and plans go by it.
  await pool.query('analyze');
  return {
    ...open,
    synced: async () => (await engine()).synced(),
    close: async () => {
      await pool.end();
      await (await engine()).close();
    },
  };
}

/** Opens a PostgreSQL server by its URL and brings its tables up to date. It syncs by itself. */
export async function openServer(url: string, migrationsFolder: string): Promise<OpenDb> {
  return openPool(new pg.Pool({ connectionString: url }), migrationsFolder);
}

async function openPool(pool: pg.Pool, migrationsFolder: string): Promise<OpenDb> {
  // A connection that breaks while nobody uses it: the next statement gets another one.
  pool.on('error', () => undefined);
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder });
  return {
    db: db as unknown as Db,
    synced: () => Promise.resolve(),
    close: () => pool.end(),
  };
}

/** Runs a statement and gives its rows; both drivers answer with `rows`. */
export async function rowsOf<Row>(db: Pick<Db, 'execute'>, query: SQL): Promise<Row[]> {
  const result = (await db.execute(query)) as unknown as { rows: Row[] };
  return result.rows;
}
