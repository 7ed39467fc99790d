import { z } from '@hono/zod-openapi';
import { idSchema } from '@cordel/core';
import { sql } from 'drizzle-orm';
import { rowsOf } from '../../db/client.ts';
import { answers, jsonBody, router } from '../../http/router.ts';
import { idArray } from '../../evidence/queries.ts';
import { forPeople, route } from '../access.ts';
import { hasRight } from '../actor.ts';

const known = route(forPeople, {
  method: 'post',
  path: '/receipts/known',
  summary: 'Which of some entries are here already, of projects that may be read',
  description: 'For work that was passed on from phone to phone: whoever made it may have sent it.',
  request: { body: jsonBody(z.object({ ids: z.array(idSchema).min(1).max(5000) })) },
  responses: answers(z.object({ ids: z.array(z.string()) }), 'Those that are here'),
});

export const receiptRoutes = router().openapi(known, async (c) => {
  const { ids } = c.req.valid('json');
  const rows = await rowsOf<{ id: string; projectId: string }>(
    c.var.db,
    sql`select entry_id as id, project_id as "projectId" from receipts
        where entry_id = any(${idArray(ids)}::uuid[])`,
  );
  const readable = rows.filter(({ projectId }) => hasRight(c.var.actor, projectId, 'read'));
  return c.json({ ids: readable.map(({ id }) => id) }, 200);
});
