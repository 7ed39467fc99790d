import { createReadStream, createWriteStream } from 'node:fs';
import { access, open, rename, rm } from 'node:fs/promises';
import { resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import { createGunzip } from 'node:zlib';
import { backupWords as say } from '@cordel/text/server/backup';
import { backupKeyIn } from '../src/accounts/backupKey.ts';
import { backupFile } from '../src/backup/routes.ts';
import { restoreAny } from '../src/backup/restoreAny.ts';
import { NotRestored } from '../src/backup/restoreBackup.ts';
import { type OpenDb, openFolder, openServer } from '../src/db/client.ts';
import { FolderInUse } from '../src/db/lock.ts';

/** Everything that a server has, out of it and into another: `backup FILE`, `restore FILE`. */
const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const folder = resolve(process.env.CORDEL_DATA ?? '.cordel');
const server = process.env.CORDEL_SERVER ?? `http://localhost:${process.env.PORT ?? 8044}`;

const openDatabase = (migrations = MIGRATIONS): Promise<OpenDb> => {
  const url = process.env.DATABASE_URL;
  return url ? openServer(url, migrations) : openFolder(folder, migrations);
};

/** A backup from the database itself, or from the server that has its folder. */
async function backup(path: string): Promise<void> {
  const part = `${path}.part`;
  try {
    await writeTo(part);
    // What is called a backup lies on the disk, to its last byte.
    const file = await open(part, 'r+');
    await file.sync();
    await file.close();
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  console.log(say('written', { path }));
}

async function writeTo(path: string): Promise<void> {
  const out = () => createWriteStream(path, { mode: 0o600 });
  let database: OpenDb;
  try {
    database = await openDatabase();
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    const key = await backupKeyIn(folder);
    const answer = await fetch(`${server}/api/backup`, {
      headers: key ? { authorization: `Bearer ${key}` } : {},
    }).catch(() => null);
    if (!answer?.ok || !answer.body) throw new NotRestored(say('noServer', { folder, server }));
    return pipeline(Readable.fromWeb(answer.body as never), out());
  }
  try {
    await pipeline(backupFile(database.db), out());
  } finally {
    await database.close();
  }
}

async function restore(path: string): Promise<void> {
  await access(path);
  const read = () => {
    const file = createReadStream(path);
    const lines = createGunzip();
    file.on('error', (error) => lines.destroy(error));
    return file.pipe(lines);
  };
  const rows = await restoreAny(openDatabase, read, MIGRATIONS);
  console.log(say('restored', { path, rows }));
}

const [command, path] = process.argv.slice(2);
const work = { backup, restore }[command ?? ''];
if (!work || !path) {
  console.error(say('usage'));
  process.exit(2);
}
work(path).then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
