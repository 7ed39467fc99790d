import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';

/** How many changes of its tables a database has seen. */
export async function versionOf(db: Db): Promise<number> {
  const [row] = await rowsOf<{ count: number }>(
    db,
    sql`select count(*)::int as count from drizzle.__drizzle_migrations`,
  );
  return row!.count;
}
