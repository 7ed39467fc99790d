import { createReadStream, createWriteStream } from 'node:fs';
import { access, open, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import { createGunzip } from 'node:zlib';
import { backupWords as say } from '@cordel/text/server/backup';
import { backupKeyIn } from '../src/accounts/backupKey.ts';
import { type Keys, keysOf, readKeys, restoreKeys } from '../src/backup/keys.ts';
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

/** A backup from the database itself, or from the server that has its folder; its keys too where a file is named for them. */
async function backup(path: string, keysPath?: string): Promise<void> {
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
  if (keysPath === undefined) return;
  await writeFile(keysPath, JSON.stringify(await keysNow()), { mode: 0o600, flag: 'wx' });
  console.log(say('keysWritten', { path: keysPath }));
}

/** Asks the database itself, or the server that has its folder. */
async function asked<Answer>(
  database: (db: OpenDb['db']) => Promise<Answer>,
  path: string,
  server: (answer: Response) => Promise<Answer>,
): Promise<Answer> {
  let open: OpenDb;
  try {
    open = await openDatabase();
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    return server(await fromServer(path));
  }
  try {
    return await database(open.db);
  } finally {
    await open.close();
  }
}

async function fromServer(path: string): Promise<Response> {
  const key = await backupKeyIn(folder);
  const answer = await fetch(`${server}${path}`, {
    headers: key ? { authorization: `Bearer ${key}` } : {},
  }).catch(() => null);
  if (!answer?.ok || !answer.body) throw new NotRestored(say('noServer', { folder, server }));
  return answer;
}

function writeTo(path: string): Promise<void> {
  const out = () => createWriteStream(path, { mode: 0o600 });
  return asked(
    (db) => pipeline(backupFile(db), out()),
    '/api/backup',
    ({ body }) => pipeline(Readable.fromWeb(body as never), out()),
  );
}

const keysNow = (): Promise<Keys> =>
  asked(keysOf, '/api/backup/keys', async (answer) => (await answer.json()) as Keys);

async function restore(path: string, keysPath?: string): Promise<void> {
  await access(path);
  // What cannot be read is said before anything is changed.
  const keys = keysPath === undefined ? null : readKeys(await readFile(keysPath, 'utf8'));
  const read = () => {
    const file = createReadStream(path);
    const lines = createGunzip();
    file.on('error', (error) => lines.destroy(error));
    return file.pipe(lines);
  };
  const rows = await restoreAny(openDatabase, read, MIGRATIONS);
  console.log(say('restored', { path, rows }));
  if (!keys || keysPath === undefined) return;
  const database = await openDatabase();
  await restoreKeys(database.db, keys).finally(() => database.close());
  console.log(say('keysRestored', { path: keysPath }));
}

const [command, path, keysPath] = process.argv.slice(2);
const work = { backup, restore }[command ?? ''];
if (!work || !path) {
  console.error(say('usage'));
  process.exit(2);
}
work(path, keysPath).then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
