import { z } from '@hono/zod-openapi';
import { BUILT_IN_LIMITS, limitsSchema, schemeSchema } from '@cordel/core';
import { schemesProblems as say } from '@cordel/text/server/schemes';
import { anywhere, forPeople, route } from '../accounts/access.ts';
import { schemes } from '../db/schema.ts';
import { saveOwnRecord } from '../merge/ownRecord.ts';
import { Problem } from '../http/problem.ts';
import { answers, changedSchema, jsonBody, router, savedSchema } from '../http/router.ts';
import { allSchemes, putScheme } from './queries.ts';

const list = route(forPeople, {
  method: 'get',
  path: '/schemes',
  summary: 'Color schemes: those that ship and the users’ own',
  responses: answers(z.array(schemeSchema), 'The schemes'),
});

const put = route(anywhere('decide'), {
  method: 'put',
  path: '/schemes/{schemeId}',
  summary: 'Add a color scheme of your own, or change it',
  request: {
    params: z.object({ schemeId: z.string() }),
    body: jsonBody(changedSchema(schemeSchema)),
  },
  responses: answers(savedSchema, 'Saved'),
});

const limits = route(forPeople, {
  method: 'get',
  path: '/limits',
  summary: 'Limits that ship, each with its source',
  responses: answers(z.array(limitsSchema), 'The limits'),
});

export const schemeRoutes = router()
  .openapi(list, async (c) => c.json([...(await allSchemes(c.var.db)).values()], 200))
  .openapi(put, async (c) => {
    const scheme = c.req.valid('json');
    if (scheme.id !== c.req.valid('param').schemeId) throw new Problem(422, say('otherId'));
    await saveOwnRecord(c.var.db, schemes, schemeSchema, scheme, putScheme);
    return c.json({ id: scheme.id }, 200);
  })
  .openapi(limits, (c) => c.json([...BUILT_IN_LIMITS], 200));
