import { and, asc, eq, sql } from 'drizzle-orm';
import { type Cable, type Closure, type Project, practiceSchema } from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import { cables, closures, projectImports, projects } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';
import { allSchemes, schemeNamed } from '../schemes/queries.ts';

type ProjectRow = typeof projects.$inferSelect;

/** Practice that was saved before a choice was known gets the usual one. */
const toProject = (row: ProjectRow): Project => ({
  ...row,
  practice: practiceSchema.parse(row.practice),
  createdAt: row.createdAt.toISOString(),
});

/** One that is still coming in is nobody's yet. */
const isIn = sql`not exists (select from ${projectImports} where ${projectImports.projectId} = ${projects.id} and ${projectImports.stage} <> 'failed')`;

/** All projects, the newest first. */
export async function listProjects(db: Db): Promise<Project[]> {
  const rows = await db.select().from(projects).where(isIn);
  return rows.map(toProject).sort((a, b) => b.createdAt.localeCompare(a.createdAt));
}

/** One project. Throws a 404 problem where there is none. */
export async function getProject(db: Db, id: string): Promise<Project> {
  const [row] = await db
    .select()
    .from(projects)
    .where(and(eq(projects.id, id), isIn));
  if (!row) throw notFound('project');
  return toProject(row);
}

/** Within a transaction: whoever changes the plant of a project goes after whoever does so already. */
export async function lockProject(db: Db, id: string): Promise<void> {
  // Records that name the project do not wait for this lock.
  await rowsOf(db, sql`select from projects where id = ${id} for no key update`);
}

/** The cables of a project by name, and its closures in route order. */
export async function getCables(db: Db, projectId: string): Promise<Cable[]> {
  return db.select().from(cables).where(eq(cables.projectId, projectId)).orderBy(asc(cables.name));
}

export async function getClosures(db: Db, projectId: string): Promise<Closure[]> {
  return db
    .select()
    .from(closures)
    .where(eq(closures.projectId, projectId))
    .orderBy(sql`${closures.distance} asc nulls last`, asc(closures.ordinal), asc(closures.name));
}

/**
 * Adds a project or changes its settings. New limits change verdicts, so every splice with evidence is
 * judged anew.
 */
export async function putProject(db: Db, project: Project): Promise<void> {
  schemeNamed(await allSchemes(db), project.schemeId, '/schemeId');
  const row = { ...project, createdAt: new Date(project.createdAt) };
  const { id: _id, createdAt: _created, ...settings } = row;
  await db.transaction(async (tx) => {
    await tx
      .insert(projects)
      .values(row)
      .onConflictDoUpdate({ target: projects.id, set: settings });
    await judgeAnew(tx as unknown as Db, project);
  });
}

/** Sets every splice of a project to be judged anew; one without evidence misses all wavelengths. */
async function judgeAnew(db: Db, { id, limits }: Project): Promise<void> {
  await rowsOf(
    db,
    sql`insert into stale_splices (splice_id, project_id)
        select s.id, s.project_id from splices s
        where s.project_id = ${id} and (
          exists (select from attempts e where e.splice_id = s.id) or
          exists (select from readings e where e.splice_id = s.id) or
          exists (select from inspections e where e.splice_id = s.id) or
          exists (select from rulings e where e.splice_id = s.id))
        order by s.id
        on conflict (splice_id) do update set project_id = excluded.project_id`,
  );
  await rowsOf(
    db,
    sql`update splices set missing = ${`{${limits.wavelengths.join(',')}}`}::smallint[]
        where project_id = ${id} and id not in (select splice_id from stale_splices where project_id = ${id})`,
  );
}
