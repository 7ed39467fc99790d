import { createHash } from 'node:crypto';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { sql } from 'drizzle-orm';
import { backupProblems as say } from '@cordel/text/server/backup';
import { type Db, rowsOf } from '../db/client.ts';
import { PRUNED } from '../changes/queries.ts';
import { BACKUP_TABLES } from './tables.ts';
import { versionOf } from './version.ts';
import type { BackupEnd, BackupHead } from './writeBackup.ts';

/** Why a backup is not restored; nothing of it is in the database then. */
export class NotRestored extends Error {}

/** Characters of JSON that are inserted at a time. */
const PIECE = 4_000_000;

/**
 * Writes all rows of a backup into an empty database: all of it, or nothing.
 * @returns how many rows were written
 * @throws NotRestored where the database has projects, or the backup is another version's, damaged or cut short
 */
export async function restoreBackup(db: Db, lines: Readable): Promise<number> {
  if (!(await isEmpty(db))) throw new NotRestored(say('notEmpty').text);
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // What comes in with a backup is no change of a project, and no write that waits for an import.
    await rowsOf(on, sql`select set_config('cordel.importing', 'on', true)`);
    const digest = createHash('sha256');
    let head: BackupHead | null = null;
    let end: BackupEnd | null = null;
    let rows = 0;
    let piece: { table: string; rows: string[]; size: number } | null = null;
    const write = async () => {
      if (piece) await insert(on, piece.table, piece.rows);
      piece = null;
    };
    for await (const line of createInterface({ input: lines, crlfDelay: Infinity })) {
      if (end) throw new NotRestored(say('damaged').text);
      if (!head) head = await headOf(on, line);
      else if (line.startsWith('[')) {
        const { table, row: text } = rowOf(line);
        if (piece && (piece.table !== table || piece.size > PIECE)) await write();
        piece ??= { table, rows: [], size: 0 };
        piece.rows.push(text);
        piece.size += text.length;
        rows++;
      } else end = endOf(line);
      if (!end) digest.update(`${line}\n`);
    }
    await write();
    if (!head || !end || end.rows !== rows || end.digest !== digest.digest('hex'))
      throw new NotRestored(say(end ? 'damaged' : 'cutShort').text);
    // Whoever has read changes of the database that it was asks for everything again.
    await rowsOf(on, sql`insert into changes (kind, key) values (${PRUNED}, '')`);
    await rowsOf(on, sql`select setval('evidence_seq', ${head.evidenceSeq}::bigint)`);
    await numberOn(on);
    return rows;
  });
}

/** Has rows that are numbered by their table alone go on after those that came. */
async function numberOn(db: Db): Promise<void> {
  const numbered = await rowsOf<{ table: string; column: string; sequence: string | null }>(
    db,
    sql`select table_name as "table", column_name as "column",
          pg_get_serial_sequence(quote_ident(table_name), column_name) as sequence
        from information_schema.columns where table_schema = 'public' and column_default like 'nextval(%'`,
  );
  for (const { table, column, sequence } of numbered)
    if (sequence !== null)
      await rowsOf(
        db,
        sql`select setval(${sequence}::regclass, coalesce(max(${sql.identifier(column)}), 0) + 1, false)
            from ${sql.identifier(table)}`,
      );
}

/** Whether nobody has begun here: neither with a project nor with an account, which earlier versions have not. */
async function isEmpty(db: Db): Promise<boolean> {
  const [known] = await rowsOf<{ people: boolean }>(
    db,
    sql`select to_regclass('public.people') is not null as people`,
  );
  const tables = known!.people ? ['projects', 'people'] : ['projects'];
  for (const table of tables) {
    const [row] = await rowsOf<{ any: boolean }>(
      db,
      sql`select exists (select from ${sql.identifier(table)}) as any`,
    );
    if (row!.any) return false;
  }
  return true;
}

/** @throws NotRestored where the first line is no backup's */
export function readHead(line: string): BackupHead {
  const head = parsed<BackupHead>(line);
  if (head?.format !== 'cordel.backup' || head.version !== 1)
    throw new NotRestored(say('noBackup').text);
  return head;
}

async function headOf(db: Db, line: string): Promise<BackupHead> {
  const head = readHead(line);
  if (head.database !== (await versionOf(db))) throw new NotRestored(say('otherVersion').text);
  return head;
}

const NAMES: ReadonlySet<string> = new Set(BACKUP_TABLES.map(({ name }) => name));

/** The table of a line and its row as text, so that no figure of it is read and written anew. */
function rowOf(line: string): { table: string; row: string } {
  const comma = line.indexOf(',');
  const table = parsed<string>(line.slice(1, comma));
  if (table === null || !NAMES.has(table) || !line.endsWith(']'))
    throw new NotRestored(say('damaged').text);
  return { table, row: line.slice(comma + 1, -1) };
}

function endOf(line: string): BackupEnd {
  const end = parsed<BackupEnd>(line);
  if (!end?.digest) throw new NotRestored(say('damaged').text);
  return end;
}

function parsed<Value>(text: string): Value | null {
  try {
    return JSON.parse(text) as Value;
  } catch {
    return null;
  }
}

async function insert(db: Db, table: string, rows: readonly string[]): Promise<void> {
  const name = sql.identifier(table);
  await rowsOf(
    db,
    sql`insert into ${name} select * from jsonb_populate_recordset(null::${name}, ${`[${rows.join(',')}]`}::jsonb)`,
  );
}
