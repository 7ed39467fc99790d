import { z } from '@hono/zod-openapi';
import { inProject, route } from '../accounts/access.ts';
import { answers, idParams, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { conflictsOf } from './queries.ts';

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
    'Both entries stay. Two attempts are decided by taking one back, a point of the closing list by looking again; two signatures need no decision.',
  request: { params: idParams('projectId') },
  responses: answers(
    z.array(
      z.object({
        kind: z.enum(['attempt', 'point', 'sign']),
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

export const conflictRoutes = router().openapi(list, async (c) => {
  const { projectId } = c.req.valid('param');
  await getProject(c.var.db, projectId);
  return c.json(await conflictsOf(c.var.db, projectId), 200);
});
