import { eq, sql } from 'drizzle-orm';
import type { z } from 'zod';
import { type Db, rowsOf } from '../db/client.ts';
import type { hardware, instruments, schemes } from '../db/schema.ts';
import { fromZod } from '../http/problem.ts';
import { mergedRecord } from './records.ts';

/**
 * Saves a record of the users' own that is for all projects, with what others have changed of it since.
 * @param base as it had been read; none where the person does not say, or it is new
 * @param put writes it
 * @throws Problem 412 with both versions where both changed the same field, 422 where they do not go together
 */
export async function saveOwnRecord<Row extends { id: string }>(
  db: Db,
  table: typeof schemes | typeof hardware | typeof instruments,
  schema: z.ZodType<Row>,
  { base, ...given }: Row & { base?: Row | undefined },
  put: (on: Db, record: Row) => Promise<void>,
): Promise<void> {
  const mine = given as unknown as Row;
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // Two who save the same one do so one after the other.
    await rowsOf(on, sql`select from ${table} where ${table.id} = ${mine.id} for update`);
    const [row] = await on
      .select({ record: table.record })
      .from(table)
      .where(eq(table.id, mine.id));
    const current = row && schema.parse(row.record);
    const read = schema.safeParse(mergedRecord(base, current, mine));
    if (!read.success) throw fromZod(read.error);
    await put(on, read.data);
  });
}
