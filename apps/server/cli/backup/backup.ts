import { createWriteStream } from 'node:fs';
import { open, rename, rm, writeFile } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { backupWords as say } from '@cordel/text/server/backup';
import { type Keys, keysOf } from '../../src/backup/keys.ts';
import { backupFile } from '../../src/backup/routes.ts';
import { ask } from './database.ts';

/** A backup from the database itself, or from the server that has its folder; its keys too where a file is named for them. */
export async function backup(path: string, keysPath?: string): Promise<void> {
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

function writeTo(path: string): Promise<void> {
  const out = () => createWriteStream(path, { mode: 0o600 });
  return ask(
    (db) => pipeline(backupFile(db), out()),
    '/api/backup',
    ({ body }) => pipeline(Readable.fromWeb(body as never), out()),
  );
}

const keysNow = (): Promise<Keys> =>
  ask(keysOf, '/api/backup/keys', async (answer) => (await answer.json()) as Keys);
