import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';

/** A splice stays in its project for good, so that what is known of it stays true. */
const known = new WeakMap<Db, Map<string, string>>();
const MOST_KNOWN = 200_000;

/**
 * The projects of splices, of those too that a plan has dropped, by their ids. Who records at a closure asks for one
 * after the other: those beside them are remembered with them.
 */
export async function projectsOfSplices(
  db: Db,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const projects = known.get(db) ?? new Map<string, string>();
  known.set(db, projects);
  const missing = ids.filter((id) => !projects.has(id));
  if (missing.length > 0) {
    const rows = await rowsOf<{ id: string; projectId: string }>(
      db,
      sql`select id, project_id as "projectId" from projects_of_splices(${`{${missing.join(',')}}`}::uuid[])`,
    );
    if (projects.size + rows.length > MOST_KNOWN) projects.clear();
    for (const { id, projectId } of rows) projects.set(id, projectId);
  }
  return new Map(
    ids.flatMap((id) => {
      const projectId = projects.get(id);
      return projectId === undefined ? [] : [[id, projectId] as const];
    }),
  );
}
