import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { BACKUP_TABLES } from './tables.ts';
import { versionOf } from './version.ts';

/** The first line of a backup. */
export interface BackupHead {
  format: 'cordel.backup';
  version: 1;
  /** How many changes of its tables the database had seen, so that no other one takes it. */
  database: number;
  /** The last number drawn for evidence, as text. */
  evidenceSeq: string;
}

/** The last line of a backup: rows before it, and the SHA-256 of all lines before it. */
export interface BackupEnd {
  rows: number;
  digest: string;
}

/**
 * All rows of a database as lines of JSON, each `[table, row]`, between a head and an end: one moment of it, however
 * much is recorded meanwhile.
 */
export async function* backupLines(db: Db): AsyncGenerator<string> {
  const digest = createHash('sha256');
  let rows = 0;
  const line = (text: string): string => {
    digest.update(`${text}\n`);
    return `${text}\n`;
  };
  const { readable, writable } = new TransformStream<string, string>();
  // A piece is written once the one before is taken.
  const pieces = writable.getWriter();
  // Everything is read in one transaction, whose view of the database does not change.
  const reading = db
    .transaction(
      async (tx) => {
        const on = tx as unknown as Db;
        const [numbers] = await rowsOf<{ last: string }>(
          on,
          sql`select last_value::text as last from evidence_seq`,
        );
        const head: BackupHead = {
          ...{ format: 'cordel.backup', version: 1 },
          ...{ database: await versionOf(on), evidenceSeq: numbers!.last },
        };
        await pieces.write(line(JSON.stringify(head)));
        for (const { name, order, rows: batch } of BACKUP_TABLES) {
          await rowsOf(on, sql`declare backup_rows no scroll cursor for ${rowsIn(name, order)}`);
          for (let count = batch; count === batch;) {
            const found = await rowsOf<{ row: string }>(
              on,
              sql`fetch ${sql.raw(String(batch))} from backup_rows`,
            );
            count = found.length;
            rows += count;
            if (count > 0)
              await pieces.write(
                found.map(({ row }) => line(`[${JSON.stringify(name)},${row}]`)).join(''),
              );
          }
          await rowsOf(on, sql`close backup_rows`);
        }
        const end: BackupEnd = { rows, digest: digest.digest('hex') };
        await pieces.write(`${JSON.stringify(end)}\n`);
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    )
    .then(
      () => pieces.close(),
      (error: unknown) => pieces.abort(error),
    );
  try {
    yield* readable;
  } finally {
    // Whoever stops early takes the transaction with it.
    await reading.catch(() => undefined);
  }
}

/** The rows of a table as JSON, in the order in which they can be inserted again. */
function rowsIn(name: string, order: string) {
  const table = sql.identifier(name);
  if (name !== 'closures')
    return sql`select row_to_json(t)::text as row from ${table} t order by ${sql.raw(order)}`;
  return sql`with recursive placed as (
      select id, 0 as depth from closures where branch_of is null
      union all select c.id, p.depth + 1 from closures c join placed p on c.branch_of = p.id)
    select row_to_json(t)::text as row from closures t join placed p using (id) order by p.depth, t.id`;
}
