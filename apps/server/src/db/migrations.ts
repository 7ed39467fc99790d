import { type SQL, sql } from 'drizzle-orm';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';

/**
 * When the migration `0010_write_under_way` is noted as made, ms since 1970. Databases of before note a moment
 * that lay ahead: those that came after it would be passed over as older.
 */
const NOTED_AHEAD = { was: 1_795_900_000_000, is: 1_795_840_000_000 };

/** Brings the tables of a database up to date, whatever version they are of. */
export async function bringUpToDate(
  db: { execute(query: SQL): PromiseLike<unknown> },
  migrationsFolder: string,
): Promise<void> {
  const { rows } = (await db.execute(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as known`,
  )) as unknown as { rows: { known: boolean }[] };
  if (rows[0]!.known)
    await db.execute(
      sql`update drizzle.__drizzle_migrations set created_at = ${NOTED_AHEAD.is} where created_at = ${NOTED_AHEAD.was}`,
    );
  await migrate(db as unknown as NodePgDatabase, { migrationsFolder });
}
