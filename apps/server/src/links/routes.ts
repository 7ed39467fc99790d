import { z } from '@hono/zod-openapi';
import { linkEntrySchema } from '@cordel/core';
import { inProject, route } from '../accounts/access.ts';
import { signedBy } from '../accounts/actor.ts';
import { recordInProject } from '../clocks/recordInProject.ts';
import { answers, idParams, jsonBody, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { circuitBudgetSchema } from '../traces/api.ts';
import { loadPlant } from '../traces/plant.ts';
import { cableLinks } from './cableLinks.ts';
import { appendLinks, refuseStrayLinks } from './queries.ts';

const post = route(inProject('inspect'), {
  method: 'post',
  path: '/projects/{projectId}/links',
  summary: 'Record what a power meter and a light source tell of links',
  request: {
    params: idParams('projectId'),
    body: jsonBody(z.object({ entries: z.array(linkEntrySchema).min(1).max(2000) })),
  },
  responses: answers(z.object({ recorded: z.int() }), 'How many were sent'),
});

const ofCable = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/cables/{cableId}/links',
  summary: 'The links that run through a cable, and what was measured of them',
  request: { params: idParams('projectId', 'cableId') },
  responses: answers(
    z.object({
      circuits: z.array(
        z.object({
          key: z.string(),
          fiber: z.int(),
          label: z.string(),
          from: z.string(),
          to: z.string(),
          isThrough: z.boolean(),
          fibers: z.array(z.object({ cableId: z.string(), fiber: z.int() })),
          budgets: z.array(circuitBudgetSchema),
        }),
      ),
      entries: z.array(linkEntrySchema),
    }),
    'The links',
  ),
});

export const linkRoutes = router()
  .openapi(post, async (c) => {
    const { db, actor } = c.var;
    const { projectId } = c.req.valid('param');
    await getProject(db, projectId);
    const entries = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
    await recordInProject(c.var, projectId, entries, async (on, ours) => {
      await refuseStrayLinks(on, projectId, ours, await loadPlant(on, projectId));
      await appendLinks(on, ours);
    });
    return c.json({ recorded: entries.length }, 200);
  })
  .openapi(ofCable, async (c) => {
    const { projectId, cableId } = c.req.valid('param');
    return c.json(await cableLinks(c.var.db, projectId, cableId), 200);
  });
