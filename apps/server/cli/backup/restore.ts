import { createReadStream } from 'node:fs';
import { access, readFile } from 'node:fs/promises';
import { createGunzip } from 'node:zlib';
import { backupWords as say } from '@cordel/text/server/backup';
import { readKeys, restoreKeys } from '../../src/backup/keys.ts';
import { restoreAny } from '../../src/backup/restoreAny.ts';
import { MIGRATIONS, openDatabase } from './database.ts';

/** Puts a backup into an empty data folder or database; the keys too where their file is named. */
export async function restore(path: string, keysPath?: string): Promise<void> {
  await access(path);
  // What cannot be read is said before anything is changed.
  const keys = keysPath === undefined ? null : readKeys(await readFile(keysPath, 'utf8'));
  const read = () => {
    const file = createReadStream(path);
    const lines = createGunzip();
    file.on('error', (error) => lines.destroy(error));
    return file.pipe(lines);
  };
  const rows = await restoreAny((folder = MIGRATIONS) => openDatabase(folder), read, MIGRATIONS);
  console.log(say('restored', { path, rows }));
  if (!keys || keysPath === undefined) return;
  const database = await openDatabase(MIGRATIONS);
  await restoreKeys(database.db, keys).finally(() => database.close());
  console.log(say('keysRestored', { path: keysPath }));
}
