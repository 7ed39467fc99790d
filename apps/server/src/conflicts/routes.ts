import { z } from '@hono/zod-openapi';
import { idSchema, personSchema, reasonSchema, timeSchema } from '@cordel/core';
import { inProject, route } from '../accounts/access.ts';
import { signedBy } from '../accounts/actor.ts';
import { answers, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { decideDropped } from './decide.ts';
import { clockCorrectionsOf, conflictsOf } from './queries.ts';

const sideSchema = z.object({
  entryId: z.string(),
  by: z.string(),
  at: z.string(),
  receivedAt: z.string(),
  estimateMdb: z.int().nullable(),
  verdict: z.string().nullable(),
});

const list = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/conflicts',
  summary: 'What two people did at the same time without knowing of each other',
  description:
    'Both entries stay. Two attempts are decided by taking one back, a point of the closing list by looking again; two signatures need no decision. Of a splice that was made while the plan dropped it, `decision` says what counts.',
  request: { params: idParams('projectId') },
  responses: answers(
    z.array(
      z.object({
        kind: z.enum(['attempt', 'point', 'sign', 'plan']),
        closureId: z.string(),
        spliceId: z.string().nullable(),
        /** The fibers of the splice, the point of the list, or the role that both signed in. */
        what: z.string().nullable(),
        sides: z.tuple([sideSchema, sideSchema]),
      }),
    ),
    'The conflicts, two hundred of each kind at most',
  ),
});

const decision = route(inProject('decide'), {
  method: 'post',
  path: '/projects/{projectId}/dropped-splices/{spliceId}/decision',
  summary: 'Decides of a splice that was made while a changed plan dropped it',
  description:
    '`splice`: it goes back into the plan with what was recorded of it. `plan`: it is removed, with what was recorded of it.',
  request: {
    params: idParams('projectId').extend(idParams('spliceId').shape),
    body: jsonBody(
      z.object({
        id: idSchema,
        keeps: z.enum(['splice', 'plan']),
        by: personSchema,
        at: timeSchema,
        why: reasonSchema,
      }),
    ),
  },
  responses: answers(savedSchema, 'It is decided'),
});

const clocks = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/clock-corrections',
  summary: 'Entries of devices whose clock was wrong',
  description:
    'They are recorded by the server’s clock; what the device said is kept beside them. A client says in `x-cordel-clock` what its own clock shows.',
  request: { params: idParams('projectId') },
  responses: answers(
    z.array(
      z.object({
        by: z.string(),
        /** By how much the server’s clock was ahead, in seconds. */
        offS: z.number(),
        entries: z.int(),
        from: z.string(),
        to: z.string(),
      }),
    ),
    'By person, day and error, the newest first, two hundred at most',
  ),
});

export const conflictRoutes = router()
  .openapi(list, async (c) => {
    const { projectId } = c.req.valid('param');
    await getProject(c.var.db, projectId);
    return c.json(await conflictsOf(c.var.db, projectId), 200);
  })
  .openapi(decision, async (c) => {
    const { projectId, spliceId } = c.req.valid('param');
    await decideDropped(c.var.db, projectId, spliceId, signedBy(c.var.actor, c.req.valid('json')));
    return c.json({ id: spliceId }, 200);
  })
  .openapi(clocks, async (c) => {
    const { projectId } = c.req.valid('param');
    await getProject(c.var.db, projectId);
    return c.json(await clockCorrectionsOf(c.var.db, projectId), 200);
  });
