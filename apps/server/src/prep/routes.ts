import { z } from '@hono/zod-openapi';
import { assemblyChangeSchema, hardwareSchema } from '@cordel/core';
import { prepProblems as say } from '@cordel/text/server/prep';
import { anywhere, atClosure, forPeople, route } from '../accounts/access.ts';
import { signedName } from '../accounts/actor.ts';
import { hardware } from '../db/schema.ts';
import { saveOwnRecord } from '../merge/ownRecord.ts';
import { Problem } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { allHardware, describeClosure, putHardware } from './queries.ts';

const list = route(forPeople, {
  method: 'get',
  path: '/hardware',
  summary: 'Hardware profiles: those that ship and the users’ own',
  responses: answers(z.array(hardwareSchema), 'The profiles'),
});

const put = route(anywhere('record'), {
  method: 'put',
  path: '/hardware/{hardwareId}',
  summary: 'Add a hardware profile of your own, or change it',
  request: {
    params: z.object({ hardwareId: z.string() }),
    body: jsonBody(changedSchema(hardwareSchema)),
  },
  responses: answers(savedSchema, 'Saved'),
});

const describe = route(atClosure('record'), {
  method: 'post',
  path: '/assemblies/{closureId}/changes',
  summary: 'Change what meets in a closure: hardware, cables, ports, steps done',
  description: 'A change names only what it changes. The same change sent again changes nothing.',
  request: { params: idParams('closureId'), body: jsonBody(assemblyChangeSchema) },
  responses: answers(savedSchema, 'Saved'),
});

export const prepRoutes = router()
  .openapi(list, async (c) => c.json(await allHardware(c.var.db), 200))
  .openapi(put, async (c) => {
    const record = c.req.valid('json');
    if (record.id !== c.req.valid('param').hardwareId) throw new Problem(422, say('otherId'));
    await saveOwnRecord(c.var.db, hardware, hardwareSchema, record, putHardware);
    return c.json({ id: record.id }, 200);
  })
  .openapi(describe, async (c) => {
    const { closureId } = c.req.valid('param');
    const change = c.req.valid('json');
    await describeClosure(
      c.var.db,
      closureId,
      'by' in change ? { ...change, by: signedName(c.var.actor, change.by ?? '') } : change,
    );
    return c.json({ id: closureId }, 200);
  });
