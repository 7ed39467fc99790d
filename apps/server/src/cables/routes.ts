import { eq, sql } from 'drizzle-orm';
import { type Cable, cableSchema, fiberCount } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { cablesProblems as say } from '@cordel/text/server/cables';
import { savesRecord, route } from '../accounts/access.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { cables } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { renameInPlans } from '../plans/queries.ts';
import { mergedRecord } from '../merge/records.ts';
import { getProject, lockProject } from '../projects/queries.ts';
import { allSchemes, schemeNamed } from '../schemes/queries.ts';

const put = route(savesRecord('cable', 'decide'), {
  method: 'put',
  path: '/cables/{cableId}',
  summary: 'Add a cable or change its name, make-up or color scheme',
  request: { params: idParams('cableId'), body: jsonBody(changedSchema(cableSchema)) },
  responses: answers(savedSchema, 'Saved'),
});

/** Saves a cable; a make-up too small for fibers that are spliced is refused. */
async function putCable(db: Db, cable: Cable): Promise<void> {
  await getProject(db, cable.projectId);
  schemeNamed(await allSchemes(db), cable.schemeId, '/schemeId');
  const [before] = await db.select().from(cables).where(eq(cables.id, cable.id));
  if (before && before.projectId !== cable.projectId) throw new Problem(409, say('cableMoved'));
  const [highest] = await rowsOf<{ fiber: number | null }>(
    db,
    sql`select max(fiber)::int as fiber from (
          select fiber_a as fiber from splices where project_id = ${cable.projectId} and cable_a = ${cable.id}
          union all
          select fiber_b from splices where project_id = ${cable.projectId} and cable_b = ${cable.id}) used`,
  );
  if (highest?.fiber && highest.fiber > fiberCount(cable.makeUp)) {
    throw problemAt(
      422,
      '/makeUp',
      say('makeUpTooSmall', {
        fiber: highest.fiber,
        name: cable.name,
        makeUp: makeUpText(cable.makeUp),
      }),
    );
  }
  const { id: _id, ...set } = cable;
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    // Plans name cables: they are renamed in the same write, or nothing is.
    if (before && before.name !== cable.name) await renameInPlans(on, before, cable.name);
    await tx.insert(cables).values(cable).onConflictDoUpdate({ target: cables.id, set });
  });
}

export const cableRoutes = router().openapi(put, async (c) => {
  const { base, ...cable } = c.req.valid('json');
  if (cable.id !== c.req.valid('param').cableId) throw new Problem(422, say('otherId'));
  await c.var.db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await lockProject(on, cable.projectId);
    const [current] = await on.select().from(cables).where(eq(cables.id, cable.id));
    await putCable(on, mergedRecord(base, current, cable));
  });
  return c.json({ id: cable.id }, 200);
});
