import { type SQL, eq, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../../db/client.ts';
import { projectImports } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { remove } from '../../removal/queries.ts';
import { cutOffImports, onImport } from './imports.ts';

/** Rows that are taken out at a time: whoever records in between waits for no more. */
const PIECE = 100;
const TRACES_PIECE = 5;

/**
 * Takes out what is in of a project whose import was stopped or cut off, piece by piece. Cut off itself, it may be
 * begun again.
 * @param problem why it failed, for who has not waited for it; null where nobody asks
 */
export async function clearImport(
  db: Db,
  projectId: string,
  problem: string | null = null,
): Promise<void> {
  const [row] = await db
    .update(projectImports)
    .set({ stage: 'clearing', heartbeat: sql`now()` })
    .where(eq(projectImports.projectId, projectId))
    .returning({ added: projectImports.added });
  if (!row) return;
  const closures = sql`(select id from closures where project_id = ${projectId})`;
  const records = sql`(select id from splicer_records where project_id = ${projectId})`;
  const traces = sql`(select id from traces where project_id = ${projectId})`;
  await inPieces(db, sql`select id from splices where project_id = ${projectId}`, PIECE, [
    ...['readings', 'inspections', 'rulings', 'attempts', 'stale_splices'].map((table) => ({
      table,
      column: 'splice_id',
    })),
    { table: 'splices', column: 'id' },
  ]);
  for (const [table, column, own] of [
    ['set_asides', 'record_id', records],
    ['standin_joints', 'record_id', records],
    ['trace_places', 'trace_id', traces],
    ['trace_figures', 'trace_id', traces],
    ['closing_entries', 'closure_id', closures],
    ['signed_records', 'closure_id', closures],
    ['plans', 'closure_id', closures],
    ['assemblies', 'closure_id', closures],
  ] as const)
    await inPieces(
      db,
      sql`select distinct ${sql.identifier(column)} as id from ${sql.identifier(table)} where ${sql.identifier(column)} in ${own}`,
      PIECE,
      [{ table, column }],
    );
  for (const [table, piece] of [
    ['splicer_records', PIECE],
    ['instrument_log', PIECE],
    ['link_entries', PIECE],
    ['traces', TRACES_PIECE],
  ] as const)
    await inPieces(
      db,
      sql`select id from ${sql.identifier(table)} where project_id = ${projectId}`,
      piece,
      [{ table, column: 'id' }],
    );
  await inPieces(db, sql`select id from photos where closure_id in ${closures}`, TRACES_PIECE, [
    { table: 'photos', column: 'id' },
  ]);
  await onImport(db, async (on) => {
    await rowsOf(
      on,
      sql`delete from archives where id in (
            select id::text from closures where project_id = ${projectId}
            union select id::text from cables where project_id = ${projectId})`,
    );
    await rowsOf(on, sql`update closures set branch_of = null where project_id = ${projectId}`);
    for (const table of ['cables', 'closures'])
      await rowsOf(on, sql`delete from ${sql.identifier(table)} where project_id = ${projectId}`);
    await rowsOf(on, sql`delete from projects where id = ${projectId}`);
  });
  for (const kind of ['scheme', 'hardware', 'instrument'] as const)
    for (const id of row.added[kind])
      await remove(db, kind, id).catch((error: unknown) => {
        // Somebody uses it by now.
        if (!(error instanceof Problem)) throw error;
      });
  // Last: until then whoever starts next goes on with it.
  const own = eq(projectImports.projectId, projectId);
  await (problem === null
    ? db.delete(projectImports).where(own)
    : db.update(projectImports).set({ stage: 'failed', problem }).where(own));
}

/** What this process is taking out just now. */
const underWay = new Set<string>();

/** Takes out all that imports left which nobody writes any more. */
export async function clearCutOff(
  db: Db,
  gone: Parameters<typeof cutOffImports>[1],
): Promise<void> {
  for (const projectId of await cutOffImports(db, gone)) {
    if (underWay.has(projectId)) continue;
    underWay.add(projectId);
    await clearImport(db, projectId).finally(() => underWay.delete(projectId));
  }
}

/** Deletes, for some ids at a time, the rows that name them. */
async function inPieces(
  db: Db,
  ids: SQL,
  piece: number,
  from: readonly { table: string; column: string }[],
): Promise<void> {
  for (let count = piece; count === piece;) {
    const rows = await rowsOf<{ id: string }>(db, sql`${ids} limit ${piece}`);
    count = rows.length;
    if (count === 0) return;
    const some = sql.join(
      rows.map(({ id }) => sql`${id}`),
      sql`, `,
    );
    await onImport(db, async (on) => {
      for (const { table, column } of from)
        await rowsOf(
          on,
          sql`delete from ${sql.identifier(table)} where ${sql.identifier(column)} in (${some})`,
        );
    });
  }
}
