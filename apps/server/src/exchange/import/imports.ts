import { and, eq, lt, ne, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../../db/client.ts';
import { type AddedForAll, type ImportStage, projectImports, projects } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { exchangeProblems as say } from '@cordel/text/server/exchange';

/** How long an import gives no sign of life until it counts as cut off, in ms. */
const CUT_OFF_MS = 60_000;

/** An import as lists show it. */
export interface ImportUnderWay {
  projectId: string;
  name: string;
  stage: ImportStage;
  done: number;
  total: number;
  /** Why it failed. */
  problem: string | null;
}

/** Somebody stopped it. */
export class ImportStopped extends Problem {
  constructor() {
    super(409, say('stopped'));
  }
}

/**
 * Imports under way, on whatever server, and those that failed until somebody has read why.
 * @param personId whose; null for everybody's
 */
export async function listImports(db: Db, personId: string | null): Promise<ImportUnderWay[]> {
  const { projectId, name, stage, done, total, problem } = projectImports;
  return db
    .select({ projectId, name, stage, done, total, problem })
    .from(projectImports)
    .where(personId === null ? undefined : eq(projectImports.personId, personId))
    .orderBy(name, projectId);
}

/**
 * @throws Problem 409 where the project is here already, or is coming in
 */
export async function refuseKnown(db: Db, projectId: string): Promise<void> {
  const [coming] = await db
    .select({ name: projectImports.name, stage: projectImports.stage })
    .from(projectImports)
    .where(and(eq(projectImports.projectId, projectId), ne(projectImports.stage, 'failed')));
  if (coming)
    throw new Problem(
      409,
      coming.stage === 'writing'
        ? say('beingImported', { name: coming.name })
        : say('beingRemoved', { name: coming.name }),
    );
  const [here] = await db
    .select({ name: projects.name })
    .from(projects)
    .where(eq(projects.id, projectId));
  if (here) throw new Problem(409, say('projectHereAlready', { name: here.name }));
}

/** Keeps whose an import is. */
export const ownImport = (db: Db, projectId: string, personId: string): Promise<unknown> =>
  db.update(projectImports).set({ personId }).where(eq(projectImports.projectId, projectId));

/** Within a transaction: from now on the project is coming in, and nobody else's. */
export async function beginImport(
  db: Db,
  row: { projectId: string; name: string; total: number; owner: string; added: AddedForAll },
): Promise<void> {
  // It may have failed before.
  await dismiss(db, row.projectId);
  await db.insert(projectImports).values({ ...row, stage: 'writing' });
}

/**
 * Tells how far an import is.
 * @throws Problem 409 where it is to stop
 */
export async function tellImport(db: Db, projectId: string, done: number): Promise<void> {
  const [row] = await db
    .update(projectImports)
    .set({ done, heartbeat: sql`now()` })
    .where(and(eq(projectImports.projectId, projectId), eq(projectImports.stage, 'writing')))
    .returning({ projectId: projectImports.projectId });
  if (!row) throw new ImportStopped();
}

/**
 * The project is there, for all.
 * @throws Problem 409 where the import is to stop
 */
export async function finishImport(db: Db, projectId: string): Promise<void> {
  const [done] = await rowsOf(
    db,
    sql`with done as (
          delete from project_imports where project_id = ${projectId} and stage = 'writing' returning 1)
        -- Who waits for news finds some: what came in had its numbers before.
        select nextval('evidence_seq') from done`,
  );
  if (!done) throw new ImportStopped();
}

/**
 * Asks an import to stop; what it wrote is taken out by whoever writes it. One that failed is forgotten, and one that is
 * over left as it is.
 */
export async function stopImport(db: Db, projectId: string): Promise<void> {
  await db
    .update(projectImports)
    .set({ stage: 'stopping' })
    .where(and(eq(projectImports.projectId, projectId), eq(projectImports.stage, 'writing')));
  await dismiss(db, projectId);
}

const dismiss = (db: Db, projectId: string): Promise<unknown> =>
  db
    .delete(projectImports)
    .where(and(eq(projectImports.projectId, projectId), eq(projectImports.stage, 'failed')));

/**
 * Projects whose imports nobody writes any more.
 * @param gone an owner that has ended; `silent` for all who gave no sign of life for long, `all` where there is nobody
 *   who could write
 */
export async function cutOffImports(
  db: Db,
  gone: { owner: string } | 'silent' | 'all',
): Promise<string[]> {
  const condition =
    gone === 'all'
      ? undefined
      : gone === 'silent'
        ? lt(projectImports.heartbeat, sql`now() - ${`${CUT_OFF_MS} ms`}::interval`)
        : eq(projectImports.owner, gone.owner);
  const rows = await db
    .select({ projectId: projectImports.projectId })
    .from(projectImports)
    .where(and(ne(projectImports.stage, 'failed'), condition));
  return rows.map(({ projectId }) => projectId);
}

/** A transaction that writes into a project which is coming in. Its last one makes all of them last. */
export const onImport = (db: Db, work: (on: Db) => Promise<unknown>): Promise<void> =>
  db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await rowsOf(
      on,
      sql`select set_config('cordel.importing', 'on', true), set_config('synchronous_commit', 'off', true)`,
    );
    await work(on);
  });
