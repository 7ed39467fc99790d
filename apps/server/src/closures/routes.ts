import { createRoute, z } from '@hono/zod-openapi';
import { and, asc, eq } from 'drizzle-orm';
import {
  type Closure,
  type Splice,
  closureSchema,
  evidenceSchema,
  findClashes,
  spliceSchema,
} from '@cordel/core';
import { clashText } from '@cordel/text/plan';
import { closuresProblems as say } from '@cordel/text/server/closures';
import type { Db } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { Problem, notFound, problemAt, sentence } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { mergedRecord } from '../merge/records.ts';
import { getCables, getProject, lockProject } from '../projects/queries.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';

const put = createRoute({
  method: 'put',
  path: '/closures/{closureId}',
  summary: 'Add a closure or change its name, place or trays',
  request: { params: idParams('closureId'), body: jsonBody(changedSchema(closureSchema)) },
  responses: answers(savedSchema, 'Saved'),
});

const work = createRoute({
  method: 'get',
  path: '/closures/{closureId}/work',
  summary:
    'A closure as the Bench needs it: its splices, those that were removed, and all their evidence in recorded order',
  request: { params: idParams('closureId') },
  responses: answers(
    z.object({
      closure: closureSchema,
      splices: z.array(spliceSchema),
      retired: z.array(spliceSchema),
      evidence: z.array(evidenceSchema),
    }),
    'The closure',
  ),
});

export const spliceColumns = {
  id: splices.id,
  projectId: splices.projectId,
  closureId: splices.closureId,
  tray: splices.tray,
  slot: splices.slot,
  cableA: splices.cableA,
  fiberA: splices.fiberA,
  cableB: splices.cableB,
  fiberB: splices.fiberB,
  method: splices.method,
  extra: splices.extra,
};

/** Splices of a closure in the order of their trays: those that live, or those that were removed. */
export const closureSplices = (db: Db, closureId: string, live: boolean): Promise<Splice[]> =>
  db
    .select(spliceColumns)
    .from(splices)
    .where(and(eq(splices.closureId, closureId), eq(splices.live, live)))
    .orderBy(asc(splices.tray), asc(splices.slot), asc(splices.fiberA), asc(splices.id));

export async function getClosure(db: Db, id: string): Promise<Closure> {
  const [closure] = await db.select().from(closures).where(eq(closures.id, id));
  if (!closure) throw notFound('closure');
  return closure;
}

async function putClosure(db: Db, closure: Closure): Promise<void> {
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
  const names = new Map(
    (await getCables(db, closure.projectId)).map((cable) => [cable.id, cable.name]),
  );
  if (lost) {
    throw problemAt(422, '/trays', say('trayInUse', { tray: lost.tray }));
  }
  const [clash] = findClashes(
    placed,
    closure.trays,
    () => ({ code: 'project' }),
    (id) => names.get(id) ?? id,
  );
  if (clash) throw problemAt(422, '/trays', sentence(clashText(clash.message), clash.message));
}

export const closureRoutes = router()
  .openapi(put, async (c) => {
    const { base, ...closure } = c.req.valid('json');
    if (closure.id !== c.req.valid('param').closureId) throw new Problem(422, say('otherId'));
    await c.var.db.transaction(async (tx) => {
      const on = tx as unknown as Db;
      await lockProject(on, closure.projectId);
      const [current] = await on.select().from(closures).where(eq(closures.id, closure.id));
      await putClosure(on, mergedRecord(base, current, closure));
    });
    return c.json({ id: closure.id }, 200);
  })
  .openapi(work, async (c) => {
    const { db } = c.var;
    const closure = await getClosure(db, c.req.valid('param').closureId);
    const planned = await closureSplices(db, closure.id, true);
    const retired = await closureSplices(db, closure.id, false);
    const evidence = await evidenceOf(db, eq(splices.closureId, closure.id));
    return c.json({ closure, splices: planned, retired, evidence }, 200);
  });
