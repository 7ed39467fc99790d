import { z } from '@hono/zod-openapi';
import { idSchema, personSchema, planSchema, reasonSchema, timeSchema } from '@cordel/core';
import { networkMessageSchema } from '@cordel/core/lists';
import { plansProblems as say } from '@cordel/text/server/plans';
import { atClosure, inProject, route } from '../accounts/access.ts';
import { signedBy } from '../accounts/actor.ts';
import { appendAudit } from '../accounts/audit.ts';
import { getClosure } from '../closures/queries.ts';
import { Problem } from '../http/problem.ts';
import { answers, idParams, jsonBody, router } from '../http/router.ts';
import { circuitProblems, followFiber } from './circuits.ts';
import { getPlan, putPlan } from './queries.ts';

const get = route(atClosure('read'), {
  method: 'get',
  path: '/closures/{closureId}/plan',
  summary: 'The splice plan of a closure, and which of its splices are made already',
  request: { params: idParams('closureId') },
  responses: answers(planSchema.extend({ worked: z.array(idSchema) }), 'The plan'),
});

const put = route(atClosure('decide'), {
  method: 'put',
  path: '/closures/{closureId}/plan',
  summary: 'Carry out a splice plan, all of it or nothing',
  description:
    'Splices follow from the lines. One that has evidence is neither dropped nor moved; where `retire` says who cut it away and why, it is retired, and stays with all that is recorded of it. The same write sent again changes nothing.',
  request: {
    params: idParams('closureId'),
    body: jsonBody(
      planSchema.extend({
        changeId: idSchema,
        anew: z.boolean(),
        /** The plan as whoever changes it had read it: lines that others have changed since are kept. */
        base: planSchema.pick({ text: true, pins: true, spare: true }).optional(),
        retire: z
          .object({ by: personSchema, at: timeSchema, why: reasonSchema })
          .nullable()
          .default(null),
      }),
    ),
  },
  responses: answers(
    z.object({
      added: z.int(),
      moved: z.int(),
      dropped: z.int(),
      retired: z.int(),
      /** As it stands now. */
      plan: planSchema,
    }),
    'What was changed',
  ),
});

const fiberSchema = z.object({ cableId: idSchema, fiber: z.int() });

const circuit = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/circuits/{cableId}/{fiber}',
  summary: 'A fiber followed through every closure to both ends',
  request: {
    params: z.object({
      projectId: idSchema,
      cableId: idSchema,
      fiber: z.coerce.number().int().min(1),
    }),
  },
  responses: answers(
    z.object({
      /** One for each piece of a fiber that is cut on the way of its cable. */
      circuits: z.array(
        z.object({
          circle: z.boolean(),
          legs: z.array(
            z.object({
              cableId: idSchema,
              fiber: z.int(),
              splice: z
                .object({ id: idSchema, closureId: idSchema, tray: z.int(), slot: z.int() })
                .nullable(),
              length: z.number().nullable(),
            }),
          ),
          splitters: z.array(
            z.object({
              cableId: idSchema,
              output: z.int().nullable(),
              feed: fiberSchema.nullable(),
              outputs: z.array(fiberSchema.extend({ output: z.int() })),
            }),
          ),
        }),
      ),
    }),
    'The circuits',
  ),
});

const problems = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/circuits',
  summary: 'What looks wrong in the circuits: shifts, flips, circles, unassigned ends',
  request: { params: idParams('projectId') },
  responses: answers(
    z.object({
      problems: z.array(
        z.object({
          kind: z.enum(['circle', 'twice', 'ends', 'shift', 'flip', 'feed']),
          closure: idSchema.nullable(),
          spliceId: idSchema.nullable(),
          message: networkMessageSchema,
        }),
      ),
    }),
    'The problems',
  ),
});

export const planRoutes = router()
  .openapi(get, async (c) => c.json(await getPlan(c.var.db, c.req.valid('param').closureId), 200))
  .openapi(put, async (c) => {
    const { db, actor } = c.var;
    const { retire, ...rest } = c.req.valid('json');
    const write = { ...rest, retire: retire && signedBy(actor, retire) };
    if (write.closureId !== c.req.valid('param').closureId)
      throw new Problem(422, say('otherClosure'));
    const saved = await putPlan(db, write, actor.kind === 'person' ? actor.name : null);
    const { id: closureId, projectId, name: closure } = await getClosure(db, write.closureId);
    const { plan: _plan, ...counts } = saved;
    const event = { code: 'planSaved', closureId, closure, ...counts } as const;
    await appendAudit(db, actor, event, { projectId });
    return c.json(saved, 200);
  })
  .openapi(circuit, async (c) => {
    const { projectId, cableId, fiber } = c.req.valid('param');
    return c.json({ circuits: await followFiber(c.var.db, projectId, cableId, fiber) }, 200);
  })
  .openapi(problems, async (c) =>
    c.json({ problems: await circuitProblems(c.var.db, c.req.valid('param').projectId) }, 200),
  );
