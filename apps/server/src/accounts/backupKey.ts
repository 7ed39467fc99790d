import { digestOf } from '@cordel/core/close';
import { timingSafeEqual } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Db } from '../db/client.ts';
import { newSecret, serverKey } from './keys.ts';

const FILE = 'backup.key';

const keyOf = (db: Db): Promise<string> => serverKey(db, 'backup', newSecret);

/** Lays the key for backups into the data folder, where whoever runs the server can read it and nobody else. */
export const keepBackupKey = async (db: Db, folder: string): Promise<void> =>
  writeFile(join(folder, FILE), await keyOf(db), { mode: 0o600 });

/** The key in a data folder; null where there is none. */
export const backupKeyIn = (folder: string): Promise<string | null> =>
  readFile(join(folder, FILE), 'utf8').catch(() => null);

export async function isBackupKey(db: Db, key: string): Promise<boolean> {
  const [held, given] = [await keyOf(db), key].map((text) => Buffer.from(digestOf(text)));
  return timingSafeEqual(held!, given!);
}
