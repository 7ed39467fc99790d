import { accountsProblems as say } from '@cordel/text/server/accounts';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { tries } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { eq } from 'drizzle-orm';

const MINUTES = 15;

/**
 * Counts a try of something, by whoever it is for.
 * @param most how often it may be tried in a quarter of an hour
 * @throws Problem 429 with how long to wait
 */
export async function limitTries(db: Db, key: string, most: number): Promise<void> {
  const [row] = await rowsOf<{ count: number; waitS: number }>(
    db,
    sql`insert into tries as t (key, count, until) values (${key}, 1, now() + make_interval(mins => ${MINUTES}))
        on conflict (key) do update set
          count = case when t.until < now() then 1 else t.count + 1 end,
          until = case when t.until < now() then excluded.until else t.until end
        returning count, extract(epoch from until - now())::int as "waitS"`,
  );
  if (row!.count <= most) return;
  throw new Problem(429, say('tooOften', { minutes: Math.max(1, Math.ceil(row!.waitS / 60)) }));
}

/** What was tried went well: it may be tried anew. */
export const forgetTries = (db: Db, key: string): Promise<unknown> =>
  db.delete(tries).where(eq(tries.key, key));
