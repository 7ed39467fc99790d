import { writeFile } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { backupWords as say } from '@cordel/text/server/backup';
import { type Keys, keysOf } from '../../src/backup/keys.ts';
import { backupFile } from '../../src/backup/routes.ts';
import { writeWhole } from '../../src/backup/writeWhole.ts';
import { ask } from './database.ts';

/** A backup from the database itself, or from the server that has its folder; its keys too where a file is named for them. */
export async function backup(path: string, keysPath?: string): Promise<void> {
  const write = (content: Readable) => writeWhole(path, content);
  await ask(
    (db) => write(backupFile(db)),
    '/api/backup',
    ({ body }) => write(Readable.fromWeb(body as never)),
  );
  console.log(say('written', { path }));
  if (keysPath === undefined) return;
  await writeFile(keysPath, JSON.stringify(await keysNow()), { mode: 0o600, flag: 'wx' });
  console.log(say('keysWritten', { path: keysPath }));
}

const keysNow = (): Promise<Keys> =>
  ask(keysOf, '/api/backup/keys', async (answer) => (await answer.json()) as Keys);
