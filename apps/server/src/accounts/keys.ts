import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Db } from '../db/client.ts';
import { serverKeys } from '../db/schema.ts';

/** A key of the server by its name; made the first time it is asked for, once for all processes. */
export async function serverKey(db: Db, name: string, make: () => string): Promise<string> {
  await db.insert(serverKeys).values({ name, value: make() }).onConflictDoNothing();
  const [row] = await db.select().from(serverKeys).where(eq(serverKeys.name, name));
  return row!.value;
}

/** A secret that nobody guesses, to stand in a link or a cookie. */
export const newSecret = (): string => randomBytes(32).toString('base64url');
