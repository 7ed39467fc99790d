import { and, asc, eq } from 'drizzle-orm';
import { type Clash, type Closure, type Splice, fibersASleeve, findClashes } from '@cordel/core';
import { clashText } from '@cordel/text/plan';
import { closuresProblems as say } from '@cordel/text/server/closures';
import type { Db } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { Problem, notFound, problemAt, sentence } from '../http/problem.ts';
import { getCables, getProject } from '../projects/queries.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';
import { spliceColumns } from '../splices/columns.ts';

/** Splices of a closure in the order of their trays: those that live, or those that were removed. */
export const closureSplices = (db: Db, closureId: string, live: boolean): Promise<Splice[]> =>
  db
    .select(spliceColumns)
    .from(splices)
    .where(and(eq(splices.closureId, closureId), eq(splices.live, live)))
    .orderBy(asc(splices.tray), asc(splices.slot), asc(splices.fiberA), asc(splices.id));

/**
 * A closure.
 * @throws Problem 404 where there is none of this id
 */
export async function getClosure(db: Db, id: string): Promise<Closure> {
  const [closure] = await db.select().from(closures).where(eq(closures.id, id));
  if (!closure) throw notFound('closure');
  return closure;
}

/**
 * Saves a closure.
 * @throws Problem 409 where it is another project’s, 422 where its branch or its trays do not fit
 */
export async function putClosure(db: Db, closure: Closure): Promise<void> {
  await getProject(db, closure.projectId);
  const [before] = await db.select().from(closures).where(eq(closures.id, closure.id));
  if (before && before.projectId !== closure.projectId) throw new Problem(409, say('closureMoved'));
  await checkBranch(db, closure);
  if (before) await checkTrays(db, closure);
  const { id: _id, ...set } = closure;
  await db.transaction(async (tx) => {
    await tx.insert(closures).values(closure).onConflictDoUpdate({ target: closures.id, set });
    // The head of a fiber is its end nearest the start of the route.
    if (before && before.distance !== closure.distance)
      await renewCircuitOrigins(tx as unknown as Db, closure.projectId);
  });
}

async function checkBranch(db: Db, closure: Closure): Promise<void> {
  let at = closure.branchOf;
  for (let steps = 0; at !== null; steps++) {
    const [parent] = await db
      .select()
      .from(closures)
      .where(and(eq(closures.id, at), eq(closures.projectId, closure.projectId)));
    const detail =
      at === closure.id || steps > 200 ? say('branchesOffItself') : say('branchUnknown');
    if (at === closure.id || steps > 200 || !parent) throw problemAt(422, '/branchOf', detail);
    at = parent.branchOf;
  }
}

async function checkTrays(db: Db, closure: Closure): Promise<void> {
  const placed = await closureSplices(db, closure.id, true);
  const numbers = new Set(closure.trays.map((tray) => tray.number));
  const lost = placed.find((splice) => !numbers.has(splice.tray));
  if (lost) {
    throw problemAt(422, '/trays', say('trayInUse', { tray: lost.tray }));
  }
  const clash = await clashAmong(db, closure, placed);
  if (clash) throw problemAt(422, '/trays', sentence(clashText(clash.message), clash.message));
}

/** What keeps splices from lying in a closure together: a fiber or a slot used twice, a tray over its capacity. */
export async function clashAmong(
  db: Db,
  closure: Closure,
  placed: readonly Splice[],
): Promise<Clash | undefined> {
  const cables = new Map(
    (await getCables(db, closure.projectId)).map((cable) => [cable.id, cable]),
  );
  const [clash] = findClashes(
    placed,
    closure.trays,
    () => ({ code: 'project' }),
    (id) => cables.get(id)?.name ?? id,
    (a, b) => fibersASleeve(cables.get(a)!.makeUp, cables.get(b)!.makeUp),
  );
  return clash;
}
