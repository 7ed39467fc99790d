import { chmod, mkdir } from 'node:fs/promises';
import type { MessagePort } from 'node:worker_threads';
import { type SQL } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { type EngineClient, openMemoryEngine } from './embedded/engine.ts';
import { EngineStopped, portEngine } from './embedded/portEngine.ts';
import { type EngineThread, startEngineThread } from './embedded/startThread.ts';
import { Wire } from './embedded/wire.ts';
import { lockFolder } from './lock.ts';
import { bringUpToDate } from './migrations.ts';
import { Notices } from './notices.ts';
import { retried } from './retry.ts';
import { isUnreachable } from './unreachable.ts';
import * as schema from './schema.ts';

/** The database: PostgreSQL's own server, or the embedded one behind the same client. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  /** Told whenever something was written. */
  notices: Notices;
  /** Resolves once all that was committed by now outlives a power cut. */
  synced(): Promise<void>;
  close(): Promise<void>;
  /** Whether several processes may stand before it: what they have to share lies in it. */
  isShared?: boolean;
}

/** An embedded database in a folder, which gives ports to clients on other threads. */
export interface OpenFolder extends OpenDb {
  port(): Promise<MessagePort>;
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
): Promise<OpenFolder> {
  await mkdir(folder, { recursive: true });
  // What is recorded is read by whoever runs the server, and by nobody else on the machine.
  await chmod(folder, 0o700);
  const lock = await lockFolder(folder, onLockLost);
  let running: Promise<EngineThread> | null = null;
  const thread = () =>
    (running ??= startEngineThread(folder, () => {
      // One that had to stop may have to again: it is not started in a circle.
      setTimeout(() => (running = null), RESTART_MS).unref();
    }));
  const port = async () => (await thread()).port();
  try {
    const open = await openByPort(port, migrationsFolder);
    return {
      ...open,
      port,
      close: async () => {
        await open.close();
        await (await running)?.close();
        await lock.release();
      },
    };
  } catch (error) {
    await lock.release();
    throw error;
  }
}

/**
 * Opens an embedded database by a port to its thread.
 * @param port gives a port, again where the database had to be started anew
 * @param migrationsFolder null where its tables are up to date
 */
export async function openByPort(
  port: () => Promise<MessagePort>,
  migrationsFolder: string | null,
): Promise<OpenDb> {
  let client: Promise<EngineClient> | null = null;
  const engine = () =>
    (client ??= port().then(
      (own) =>
        portEngine(own, () => {
          client = null;
        }),
      (error: unknown) => {
        client = null;
        throw error;
      },
    ));
  const open = await openEmbedded(engine, migrationsFolder);
  return {
    ...open,
    synced: async () => {
      // One that had to stop may not have kept what is asked for.
      if (!client) throw new EngineStopped('The embedded database stopped');
      await (await client).synced();
    },
  };
}

/** An embedded database in memory, of which a copy can be taken. */
export interface OpenMemory extends OpenDb {
  copy(): Promise<Blob>;
}

/**
 * Opens the embedded database in memory, for tests.
 * @param from a copy of another that it begins as
 */
export async function openMemory(migrationsFolder: string, from?: Blob): Promise<OpenMemory> {
  const engine = await openMemoryEngine(from);
  const open = await openEmbedded(() => Promise.resolve(engine), migrationsFolder);
  return {
    ...open,
    copy: engine.copy,
    close: async () => {
      await open.close();
      await engine.close();
    },
  };
}

/** The embedded database has one connection for each who asks it: statements wait in line. */
export async function openEmbedded(
  engine: () => Promise<EngineClient>,
  migrationsFolder: string | null,
): Promise<OpenDb> {
  const pool = new pg.Pool({
    stream: () => new Wire(engine) as never,
    max: 1,
    idleTimeoutMillis: 0,
    user: 'postgres',
    database: 'postgres',
  });
  const open = await openPool(pool, migrationsFolder);
  if (migrationsFolder !== null) await countGrown(pool);
  return { ...open, synced: async () => (await engine()).synced() };
}

/** Tables that are new, or grew by a fifth since their rows were last counted. */
const GROWN = `select string_agg(oid::regclass::text, ', ') as tables from pg_class
  where relkind = 'r' and relnamespace = 'public'::regnamespace
    and (reltuples < 0 or pg_relation_size(oid) > 1.2 * greatest(relpages, 1) * current_setting('block_size')::int)`;

/** Counts the rows of what has grown: nothing in the embedded database does so by itself, and plans go by it. */
async function countGrown(pool: pg.Pool): Promise<void> {
  const { rows } = await pool.query<{ tables: string | null }>(GROWN);
  if (rows[0]?.tables) await pool.query(`analyze ${rows[0].tables}`);
}

/** How long who asks waits for a connection, in ms. */
const CONNECTION_MS = 5000;
/** Names the lock that processes take which bring the tables up to date. */
const MIGRATING = 20_261_128;

/**
 * Opens a PostgreSQL server by its URL and brings its tables up to date. It syncs by itself.
 * @param migrationsFolder null where its tables are up to date
 */
export async function openServer(url: string, migrationsFolder: string | null): Promise<OpenDb> {
  const pool = new pg.Pool({
    connectionString: url,
    connectionTimeoutMillis: CONNECTION_MS,
    keepAlive: true,
  });
  if (migrationsFolder === null) return { ...(await openPool(pool, null)), isShared: true };
  // Several processes may start on one database: they go one after the other.
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATING]);
    return { ...(await openPool(pool, migrationsFolder)), isShared: true };
  } finally {
    // The lock goes with the connection.
    client.release(true);
  }
}

async function openPool(pool: pg.Pool, migrationsFolder: string | null): Promise<OpenDb> {
  // A connection that breaks: whoever uses it is told by the statement, and the next one gets another.
  pool.on('error', () => undefined);
  const notices = new Notices();
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
    client.on('notification', ({ payload }) => notices.tell(payload ?? ''));
  });
  const db = drizzle(pool, { schema });
  if (migrationsFolder !== null) await bringUpToDate(db as unknown as Db, migrationsFolder);
  retryAll(pool, db);
  return {
    db: db as unknown as Db,
    notices,
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
