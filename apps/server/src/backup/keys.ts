import { z } from '@hono/zod-openapi';
import { eq } from 'drizzle-orm';
import { checkpointKey, isCheckpointKey } from '../chain/signing.ts';
import type { Db } from '../db/client.ts';
import { serverKeys } from '../db/schema.ts';
import { backupProblems as say } from '@cordel/text/server/backup';
import { NotRestored } from './restoreBackup.ts';

/** Keys of a server that outlive its machine. Its other keys open sessions and backups, and are made anew. */
export const keysSchema = z.object({
  format: z.literal('cordel keys'),
  /** What checkpoints are signed with: PKCS #8 in base 64. */
  checkpoints: z.string(),
});

export type Keys = z.infer<typeof keysSchema>;

export const keysOf = async (db: Db): Promise<Keys> => ({
  format: 'cordel keys',
  checkpoints: await checkpointKey(db),
});

/** @throws NotRestored where a text holds no keys */
export function readKeys(text: string): Keys {
  try {
    const keys = keysSchema.parse(JSON.parse(text));
    if (isCheckpointKey(keys.checkpoints)) return keys;
  } catch {
    // Said below.
  }
  throw new NotRestored(say('noKeys').text);
}

/** Has a restored server sign as the one that it was. */
export async function restoreKeys(db: Db, { checkpoints }: Keys): Promise<void> {
  await db.delete(serverKeys).where(eq(serverKeys.name, 'checkpoints'));
  await db.insert(serverKeys).values({ name: 'checkpoints', value: checkpoints });
}
