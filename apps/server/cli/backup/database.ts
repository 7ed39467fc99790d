import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { backupWords as say } from '@cordel/text/server/backup';
import { backupKeyIn } from '../../src/accounts/backupKey.ts';
import { NotRestored } from '../../src/backup/restoreBackup.ts';
import { type OpenDb, openFolder, openServer } from '../../src/db/client.ts';
import { FolderInUse } from '../../src/db/lock.ts';

/** The folder of the migrations: as far above the sources as above the bundle. */
export const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

const folder = resolve(process.env.CORDEL_DATA ?? '.cordel');
const server = process.env.CORDEL_SERVER ?? `http://localhost:${process.env.PORT ?? 8044}`;

/** Where the database is that the environment names: `DATABASE_URL`, or else the data folder. */
export const openDatabase = (migrations: string): Promise<OpenDb> => {
  const url = process.env.DATABASE_URL;
  return url ? openServer(url, migrations) : openFolder(folder, migrations);
};

/**
 * Asks the database itself, or the server that has its folder.
 * @throws NotRestored where another process has the folder and no server answers
 */
export async function ask<Answer>(
  ofDatabase: (db: OpenDb['db']) => Promise<Answer>,
  path: string,
  ofServer: (answer: Response) => Promise<Answer>,
): Promise<Answer> {
  let open: OpenDb;
  try {
    open = await openDatabase(MIGRATIONS);
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    return ofServer(await fromServer(path));
  }
  try {
    return await ofDatabase(open.db);
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
