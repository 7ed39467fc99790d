import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readFile, readdir, rename, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type OpenMemory, openMemory } from '../db/client.ts';

export const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

/**
 * Opens an embedded database in memory with its tables and nothing in them. To make one takes seconds: the first is kept
 * as a file beside other temporary ones, and whoever comes later begins with a copy.
 */
export async function openMade(): Promise<OpenMemory> {
  const file = join(tmpdir(), `cordel-tables-${await versionOf()}.tar`);
  if (existsSync(file)) return openMemory(MIGRATIONS, new Blob([await readFile(file)]));
  const made = await openMemory(MIGRATIONS);
  const copy = await made.copy();
  // Others make theirs at the same time: a file is there whole or not at all.
  const own = `${file}.${process.pid}`;
  await writeFile(own, new Uint8Array(await copy.arrayBuffer()));
  await rename(own, file);
  return made;
}

/** The migrations and the database that they were run by: another one makes another file. */
async function versionOf(): Promise<string> {
  const hash = createHash('sha256');
  const engine = createRequire(import.meta.url).resolve('@electric-sql/pglite');
  hash.update(await readFile(engine));
  for (const name of (await readdir(MIGRATIONS)).sort())
    if (name.endsWith('.sql')) hash.update(name).update(await readFile(join(MIGRATIONS, name)));
  return hash.digest('hex').slice(0, 16);
}
