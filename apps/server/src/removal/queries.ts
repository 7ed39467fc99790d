import { and, eq, inArray, sql } from 'drizzle-orm';
import {
  BUILT_IN_HARDWARE,
  BUILT_IN_INSTRUMENTS,
  BUILT_IN_SCHEMES,
  type RemovableKind,
} from '@cordel/core';
import { removalProblems as say } from '@cordel/text/server/removal';
import { type Db, rowsOf } from '../db/client.ts';
import {
  archives,
  assemblies,
  cables,
  closures,
  hardware,
  instruments,
  plans,
  projects,
  schemes,
} from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { dependentsOf, dependentsText } from './dependents.ts';

const TABLES = {
  project: projects,
  closure: closures,
  cable: cables,
  hardware,
  instrument: instruments,
  scheme: schemes,
} as const;

const BUILT_IN: ReadonlySet<string> = new Set(
  [...BUILT_IN_HARDWARE, ...BUILT_IN_INSTRUMENTS, ...BUILT_IN_SCHEMES].map(({ id }) => id),
);

/**
 * Deletes a record that nothing depends on. One that is not there is gone already: the same write sent again
 * changes nothing.
 * @throws Problem 409 where something depends on it, or it ships with Cordel
 */
export async function remove(db: Db, kind: RemovableKind, id: string): Promise<void> {
  if (BUILT_IN.has(id)) throw new Problem(409, say('builtIn'));
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    const dependents = await dependentsOf(on, kind, id);
    if (dependents.length > 0)
      throw new Problem(409, say('inUse', { dependents: dependentsText(dependents) }));
    if (kind === 'project') await clearProject(on, id);
    if (kind === 'closure') await clearClosures(on, [id]);
    await on.delete(TABLES[kind]).where(eq(TABLES[kind].id, id));
    await on.delete(archives).where(eq(archives.id, id));
  });
}

/** What is said of closures and is empty of work: it goes with them. */
async function clearClosures(db: Db, ids: string[]): Promise<void> {
  if (ids.length === 0) return;
  await db.delete(plans).where(inArray(plans.closureId, ids));
  await db.delete(cables).where(inArray(cables.closureId, ids));
  await db.delete(assemblies).where(inArray(assemblies.closureId, ids));
}

/** A project in which nothing is recorded: what was planned goes with it. */
async function clearProject(db: Db, projectId: string): Promise<void> {
  await rowsOf(db, sql`delete from stale_splices where project_id = ${projectId}`);
  await rowsOf(db, sql`delete from splices where project_id = ${projectId}`);
  await rowsOf(db, sql`delete from imports where project_id = ${projectId}`);
  const own = await db
    .select({ id: closures.id })
    .from(closures)
    .where(eq(closures.projectId, projectId));
  const ids = own.map(({ id }) => id);
  await clearClosures(db, ids);
  const ownCables = await db
    .select({ id: cables.id })
    .from(cables)
    .where(eq(cables.projectId, projectId));
  const gone = [...ids, ...ownCables.map(({ id }) => id)];
  if (gone.length > 0) await db.delete(archives).where(inArray(archives.id, gone));
  await db.update(closures).set({ branchOf: null }).where(eq(closures.projectId, projectId));
  await db.delete(closures).where(eq(closures.projectId, projectId));
  await db.delete(cables).where(eq(cables.projectId, projectId));
}

/**
 * Puts a record out of the way, or back. Nothing of it changes.
 * @throws Problem 404 where there is no such record
 */
export async function setArchived(
  db: Db,
  kind: RemovableKind,
  id: string,
  archived: boolean,
): Promise<void> {
  const table = TABLES[kind];
  const [known] = await db.select({ id: table.id }).from(table).where(eq(table.id, id));
  if (!known && !BUILT_IN.has(id)) throw new Problem(404, say('notFound'));
  await (archived
    ? db.insert(archives).values({ kind, id }).onConflictDoNothing()
    : db.delete(archives).where(and(eq(archives.kind, kind), eq(archives.id, id))));
}

/** Ids of records of some kinds that are out of the way. */
export async function archivedIds(db: Db, kinds: readonly RemovableKind[]): Promise<string[]> {
  const rows = await db
    .select({ id: archives.id })
    .from(archives)
    .where(inArray(archives.kind, [...kinds]))
    .orderBy(archives.id);
  return rows.map(({ id }) => id);
}

/** Ids of a project's closures and cables that are out of the way. */
export async function archivedOf(db: Db, projectId: string): Promise<string[]> {
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select a.id from archives a
        where (a.kind = 'closure' and a.id in (select id::text from closures where project_id = ${projectId}))
           or (a.kind = 'cable' and a.id in (select id::text from cables where project_id = ${projectId}))
        order by a.id`,
  );
  return rows.map(({ id }) => id);
}
