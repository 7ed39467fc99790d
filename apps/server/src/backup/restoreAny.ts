import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { backupProblems as say } from '@cordel/text/server/backup';
import type { OpenDb } from '../db/client.ts';
import { NotRestored, readHead, restoreBackup } from './restoreBackup.ts';

interface Journal {
  entries: { tag: string }[];
}

const JOURNAL = 'meta/_journal.json';

const journalOf = async (migrations: string): Promise<Journal> =>
  JSON.parse(await readFile(join(migrations, JOURNAL), 'utf8')) as Journal;

/** A folder with the first of the migrations: tables as an earlier version had them. */
async function migrationsUpTo(migrations: string, count: number): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'cordel-migrations-'));
  await cp(migrations, folder, { recursive: true });
  const journal = await journalOf(migrations);
  const entries = journal.entries.slice(0, count);
  await writeFile(join(folder, JOURNAL), JSON.stringify({ ...journal, entries }));
  return folder;
}

async function firstLine(lines: Readable): Promise<string> {
  for await (const line of createInterface({ input: lines })) return line;
  return '';
}

/**
 * Restores a backup of this version or of an earlier one: the tables are made as they were then, filled, and brought up
 * to date.
 * @param open opens the empty database with the migrations of a folder
 * @param read the lines of the backup, from the beginning
 * @returns how many rows were written
 * @throws NotRestored where the database has projects or is of a later version than the backup, or where the backup is a
 *   later version's, damaged or cut short
 */
export async function restoreAny(
  open: (migrations: string) => Promise<OpenDb>,
  read: () => Readable,
  migrations: string,
): Promise<number> {
  const beginning = read();
  const { database: version } = readHead(await firstLine(beginning));
  beginning.destroy();
  const latest = (await journalOf(migrations)).entries.length;
  if (version > latest) throw new NotRestored(say('laterVersion').text);
  if (version === latest) return restoreInto(await open(migrations), read());
  const folder = await migrationsUpTo(migrations, version);
  try {
    const rows = await restoreInto(await open(folder), read());
    const now = await open(migrations);
    await now.synced();
    await now.close();
    return rows;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function restoreInto(open: OpenDb, lines: Readable): Promise<number> {
  try {
    const rows = await restoreBackup(open.db, lines);
    await open.synced();
    return rows;
  } finally {
    await open.close();
  }
}
