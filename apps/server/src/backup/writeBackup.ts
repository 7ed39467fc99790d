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
  const pieces = new Handover<string>();
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
        await pieces.give(line(JSON.stringify(head)));
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
              await pieces.give(
                found.map(({ row }) => line(`[${JSON.stringify(name)},${row}]`)).join(''),
              );
          }
          await rowsOf(on, sql`close backup_rows`);
        }
        const end: BackupEnd = { rows, digest: digest.digest('hex') };
        await pieces.give(`${JSON.stringify(end)}\n`);
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    )
    .then(
      () => pieces.end(),
      (error: unknown) => pieces.fail(error),
    );
  try {
    yield* pieces.taken();
  } finally {
    pieces.stop();
    await reading;
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

/** Passes pieces from who makes them to who takes them, one at a time. */
class Handover<Piece> {
  private piece: Piece | null = null;
  private over = false;
  private stopped = false;
  private error: unknown = null;
  private wake: () => void = () => undefined;

  /** @throws once whoever takes the pieces has stopped */
  async give(piece: Piece): Promise<void> {
    while (this.piece !== null && !this.stopped) await this.change();
    if (this.stopped) throw new Error('Nobody takes the backup any more.');
    this.piece = piece;
    this.wake();
  }

  end(): void {
    this.over = true;
    this.wake();
  }

  fail(error: unknown): void {
    this.error = error;
    this.end();
  }

  stop(): void {
    this.stopped = true;
    this.wake();
  }

  async *taken(): AsyncGenerator<Piece> {
    for (;;) {
      while (this.piece === null && !this.over) await this.change();
      if (this.piece === null) {
        if (this.error) throw this.error;
        return;
      }
      const own = this.piece;
      this.piece = null;
      this.wake();
      yield own;
    }
  }

  private change(): Promise<void> {
    return new Promise((resolve) => {
      const before = this.wake;
      this.wake = () => {
        before();
        resolve();
      };
    });
  }
}
