import { existsSync } from 'node:fs';
import { chmod, cp, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { CHANNEL } from '../notices.ts';
import { type DiskWatch, SyncedFolder, syncPath } from './syncedFolder.ts';

/** A database that is asked by messages of PostgreSQL's protocol (PostgreSQL documentation, chapter 53). */
export interface EngineClient {
  /** Answers whole messages; the answer is given piece by piece. */
  answer(messages: Uint8Array, onPiece: (piece: Uint8Array) => void): Promise<void>;
  /** Resolves once all that was committed by now outlives a power cut. */
  synced(): Promise<void>;
}

/** The embedded database itself. */
export interface Engine extends EngineClient {
  /** Whether a transaction is open. */
  isInTransaction(): boolean;
  rollback(): Promise<void>;
  close(): Promise<void>;
}

export interface FolderSetting {
  /** Called when the database gives up, as with a full disk; it is not to return. */
  onAbort?: () => void;
  watch?: DiskWatch;
  /** The log is cut off by a checkpoint after so many bytes: what is left of it is read at a start after a crash. */
  logBytes?: number;
  /** Further settings of the database, `name=value`. */
  settings?: readonly string[];
}

const LOG_BYTES = 64 * 1024 * 1024;
/**
 * After so many bytes of log the database counts its rows anew. It does not by itself, and keeps the plans that it made
 * while its tables were all but empty: what an entry names was looked up row by row then, however many there are.
 */
const COUNT_AFTER = [1, 8].map((megabytes) => megabytes * 1024 * 1024);
/** A database that had so many rows at the last count has good plans, and takes long to count. */
const MANY_ROWS = 20_000;

/** All but the switch that leaves out syncs; the log is synced by the call that reaches the file system. */
const WITH_SYNCS = [
  ...PGlite.defaultStartParams.filter((param) => param !== '-F'),
  '-c',
  'wal_sync_method=fsync',
];

/** Opens the embedded database in a folder, which is made where it is not there yet. */
export async function openFolderEngine(
  folder: string,
  { watch, onAbort, logBytes: most = LOG_BYTES, settings = [] }: FolderSetting = {},
): Promise<Engine> {
  const path = join(folder, 'pg');
  if (!existsSync(path)) await makeFolder(folder, path);
  await keepPrivate(path);
  const files = new SyncedFolder(path, onAbort, watch);
  const database = await PGlite.create({
    fs: files,
    startParams: [...WITH_SYNCS, ...settings.flatMap((setting) => ['-c', setting])],
  });
  files.opened();
  await listen(database);
  let logBytes = files.logBytes;
  const counts = COUNT_AFTER.map((bytes) => files.logBytes + bytes);
  const countRows = async () => {
    const { rows } = await database.query<{ rows: number }>(
      `select sum(greatest(reltuples, 0))::int as rows from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
    );
    if ((rows[0]?.rows ?? 0) < MANY_ROWS) await database.exec('analyze');
  };
  return {
    async answer(messages, onPiece) {
      // A client that comes finds nothing of one that left in the middle. Its first message begins with 0.
      if (messages[0] === 0) await rollback(database);
      await answerBy(database, messages, onPiece);
      if (database.isInTransaction()) return;
      if (counts.length > 0 && files.logBytes > counts[0]!) {
        counts.shift();
        await countRows();
      }
      if (files.logBytes - logBytes < most) return;
      await database.exec('checkpoint');
      logBytes = files.logBytes;
    },
    synced: () => files.synced(),
    isInTransaction: () => database.isInTransaction(),
    rollback: () => rollback(database),
    close: () => database.close(),
  };
}

/** A database with all tables and nothing in them, made when the server was built: to copy it takes a tenth of the time. */
const MADE = fileURLToPath(new URL('./empty-database/pg', import.meta.url));

/** Makes an empty database under another name first: a start that was cut off leaves none behind that is half made. */
async function makeFolder(folder: string, path: string): Promise<void> {
  const making = join(folder, 'pg.making');
  await rm(making, { recursive: true, force: true });
  if (existsSync(MADE)) await cp(MADE, making, { recursive: true });
  else await (await PGlite.create(making)).close();
  for (const { parentPath, name } of await readdir(making, {
    recursive: true,
    withFileTypes: true,
  }))
    syncPath(join(parentPath, name));
  await rename(making, path);
  syncPath(path);
}

/** Takes from everybody else on the machine what earlier versions left open to them. */
async function keepPrivate(folder: string): Promise<void> {
  if (((await stat(join(folder, 'PG_VERSION'))).mode & 0o077) === 0) return;
  for (const entry of await readdir(folder, { recursive: true, withFileTypes: true }))
    await chmod(join(entry.parentPath, entry.name), entry.isDirectory() ? 0o700 : 0o600);
}

/** There is one session behind all clients: each is told of its own writes, with the answer to them. */
const listen = (database: PGlite) => database.exec(`listen ${CHANNEL}`);

async function rollback(database: PGlite): Promise<void> {
  if (database.isInTransaction()) await database.exec('rollback');
}

const answerBy = (database: PGlite, messages: Uint8Array, onPiece: (piece: Uint8Array) => void) =>
  database.execProtocolRawStream(messages, {
    syncToFs: false,
    // Each is a view of the database's own memory.
    onRawData: (view) => onPiece(view.slice()),
  });

/** An embedded database in memory, of which a copy can be taken. */
export interface MemoryEngine extends Engine {
  /** The whole database as it is. */
  copy(): Promise<Blob>;
}

/**
 * An embedded database in memory, for tests; nothing of it lasts.
 * @param from a copy of another that it begins as; an empty one without
 */
export async function openMemoryEngine(from?: Blob): Promise<MemoryEngine> {
  const database = await PGlite.create(from && { loadDataDir: from });
  await listen(database);
  return {
    answer: (messages, onPiece) => answerBy(database, messages, onPiece),
    synced: () => Promise.resolve(),
    isInTransaction: () => database.isInTransaction(),
    rollback: () => rollback(database),
    close: () => database.close(),
    copy: () => database.dumpDataDir('none'),
  };
}
