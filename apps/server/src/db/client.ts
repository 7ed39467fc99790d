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
import { retried } from './retry.ts';
import { isUnreachable } from './unreachable.ts';
import * as schema from './schema.ts';

/** The database: PostgreSQL's own server, or the embedded one behind the same client. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  /** Resolves once all that was committed by now outlives a power cut. */
  synced(): Promise<void>;
  close(): Promise<void>;
}

/** How long a database that had to stop stays away, in ms. */
const RESTART_MS = 1000;

/**
 * Opens the embedded database in a folder, under an exclusive lock, and brings its tables up to date.
 * @param onLockLost told when another process has taken the folder over
 * @throws FolderInUse where another process has the folder
 */
export async function openFolder(
  folder: string,
  migrationsFolder: string,
  onLockLost?: () => void,
): Promise<OpenDb> {
  await mkdir(folder, { recursive: true });
  // What is recorded is read by whoever runs the server, and by nobody else on the machine.
  await chmod(folder, 0o700);
  const lock = await lockFolder(folder, onLockLost);
  let running: Promise<Engine> | null = null;
  const engine = () =>
    (running ??= startThreadEngine(folder, () => {
      // One that had to stop may have to again: it is not started in a circle.
      setTimeout(() => (running = null), RESTART_MS).unref();
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

/** How long who asks waits for a connection, in ms. */
const CONNECTION_MS = 5000;
/** Names the lock that processes take which bring the tables up to date. */
const MIGRATING = 20_261_128;

/** Opens a PostgreSQL server by its URL and brings its tables up to date. It syncs by itself. */
export async function openServer(url: string, migrationsFolder: string): Promise<OpenDb> {
  const pool = new pg.Pool({
    connectionString: url,
    connectionTimeoutMillis: CONNECTION_MS,
    keepAlive: true,
  });
  // Several processes may start on one database: they go one after the other.
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    return await openPool(pool, migrationsFolder);
  } finally {
    // The lock goes with the connection.
    client.release(true);
  }
}

async function openPool(pool: pg.Pool, migrationsFolder: string): Promise<OpenDb> {
  // A connection that breaks: whoever uses it is told by the statement, and the next one gets another.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder });
  retryAll(pool, db);
  return {
    db: db as unknown as Db,
    synced: () => Promise.resolve(),
    close: () => pool.end(),
  };
}

/** What others caused is tried again, by whole statements and whole transactions. */
function retryAll(pool: pg.Pool, db: Pick<Db, 'transaction'>): void {
  const query = pool.query.bind(pool) as (...args: unknown[]) => Promise<unknown>;
  pool.query = ((...args: unknown[]) => retried(() => query(...args))) as typeof pool.query;
  const known = new WeakMap<pg.PoolClient, Pick<Db, 'transaction'>>();
  const on = (client: pg.PoolClient) => {
    const own = known.get(client) ?? (drizzle(client, { schema }) as unknown as Db);
    known.set(client, own);
    return own;
  };
  // Drizzle's own keeps a connection forever where the first statement fails.
  db.transaction = (work, setting) =>
    retried(async () => {
      const client = await pool.connect();
      let broken = false;
      try {
        return await on(client).transaction(work, setting);
      } catch (error) {
        broken = isUnreachable(error);
        throw error;
      } finally {
        client.release(broken);
      }
    });
}

/** Runs a statement and gives its rows; both drivers answer with `rows`. */
export async function rowsOf<Row>(db: Pick<Db, 'execute'>, query: SQL): Promise<Row[]> {
  const result = (await db.execute(query)) as unknown as { rows: Row[] };
  return result.rows;
}
