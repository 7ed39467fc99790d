import { z } from '@hono/zod-openapi';
import {
  LIST_COLUMNS,
  NO_SAME_NAMES,
  cableSchema,
  idSchema,
  methodSchema,
  sameNamesSchema,
} from '@cordel/core';
import { inProject, route } from '../accounts/access.ts';
import { appendAudit } from '../accounts/audit.ts';
import { answers, idParams, jsonBody, router } from '../http/router.ts';
import { importList } from './list.ts';

const matchSchema = z.object(
  Object.fromEntries(
    LIST_COLUMNS.map((column) => [column, z.int().min(0).nullable().default(null)]),
  ) as Record<(typeof LIST_COLUMNS)[number], z.ZodDefault<z.ZodNullable<z.ZodInt>>>,
);

const post = route(inProject('decide'), {
  method: 'post',
  path: '/projects/{projectId}/splice-list',
  summary: 'Import a CSV splice list, all or nothing',
  request: {
    params: idParams('projectId'),
    body: jsonBody(
      z.object({
        importId: idSchema,
        text: z.string(),
        match: matchSchema,
        method: methodSchema.default('single'),
        cables: z.array(cableSchema).max(2000),
        sameNames: sameNamesSchema.default(NO_SAME_NAMES),
      }),
    ),
  },
  responses: answers(
    z.object({ splices: z.int(), closures: z.int(), cables: z.int() }),
    'What was added',
  ),
});

export const spliceRoutes = router().openapi(post, async (c) => {
  const { projectId } = c.req.valid('param');
  const body = c.req.valid('json');
  const added = await importList(c.var.db, projectId, body);
  await appendAudit(c.var.db, c.var.actor, { code: 'listImported', ...added }, { projectId });
  return c.json(added, 200);
});
