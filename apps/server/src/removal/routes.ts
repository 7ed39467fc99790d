import { z } from '@hono/zod-openapi';
import { removableKindSchema } from '@cordel/core';
import { ofRemovable, route } from '../accounts/access.ts';
import { answers, jsonBody, router, savedSchema } from '../http/router.ts';
import { remove, setArchived } from './queries.ts';

const params = z.object({ kind: removableKindSchema, id: z.string().min(1).max(64) });

const deletion = route(ofRemovable('decide'), {
  method: 'delete',
  path: '/records/{kind}/{id}',
  summary: 'Delete a project, closure, cable, hardware profile, instrument or color scheme',
  description:
    'Only while nothing depends on it: what does is named otherwise. Putting the record again brings it back.',
  request: { params },
  responses: answers(savedSchema, 'Deleted'),
});

const archive = route(ofRemovable('decide'), {
  method: 'put',
  path: '/records/{kind}/{id}/archived',
  summary: 'Put a record out of the way, or back',
  description: 'Nothing of it changes; lists to choose from leave it out.',
  request: { params, body: jsonBody(z.object({ archived: z.boolean() })) },
  responses: answers(savedSchema, 'Saved'),
});

export const removalRoutes = router()
  .openapi(deletion, async (c) => {
    const { kind, id } = c.req.valid('param');
    await remove(c.var.db, kind, id);
    return c.json({ id }, 200);
  })
  .openapi(archive, async (c) => {
    const { kind, id } = c.req.valid('param');
    await setArchived(c.var.db, kind, id, c.req.valid('json').archived);
    return c.json({ id }, 200);
  });
