import { z } from '@hono/zod-openapi';
import { eq } from 'drizzle-orm';
import { closureSchema, evidenceSchema, spliceSchema } from '@cordel/core';
import { closuresProblems as say } from '@cordel/text/server/closures';
import { atClosure, savesRecord, route } from '../accounts/access.ts';
import type { Db } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { Problem } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { mergedRecord } from '../merge/records.ts';
import { lockProject } from '../projects/queries.ts';
import { closureSplices, getClosure, putClosure } from './queries.ts';

const put = route(savesRecord('closure', 'decide'), {
  method: 'put',
  path: '/closures/{closureId}',
  summary: 'Add a closure or change its name, place or trays',
  request: { params: idParams('closureId'), body: jsonBody(changedSchema(closureSchema)) },
  responses: answers(savedSchema, 'Saved'),
});

const work = route(atClosure('read'), {
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
