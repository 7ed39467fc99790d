import { z } from '@hono/zod-openapi';
import { evidenceSchema } from '@cordel/core';
import { recordsEvidence, route } from '../accounts/access.ts';
import { signedBy } from '../accounts/actor.ts';
import { receiptOf } from '../accounts/receipts.ts';
import { recordByServerClock } from '../clocks/correct.ts';
import { answers, jsonBody, router } from '../http/router.ts';
import { recordOrDefer } from '../plans/dropped.ts';
import { projectsOfSplices } from '../splices/projectsOf.ts';
import { type Received, isPlain, record } from './queries.ts';
import { recordTogether } from './together.ts';

const post = route(recordsEvidence, {
  method: 'post',
  path: '/evidence',
  summary: 'Append attempts, readings and rulings, all or nothing',
  description: 'Ids are made by the client: the same entries sent again change nothing.',
  request: {
    body: jsonBody(z.object({ entries: z.array(evidenceSchema).min(1).max(500) })),
  },
  responses: answers(z.object({ recorded: z.int() }), 'How many entries were new'),
});

export const evidenceRoutes = router().openapi(post, async (c) => {
  const { actor } = c.var;
  const receipt = receiptOf(actor);
  const sent = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
  const projectOf =
    receipt &&
    (await projectsOfSplices(
      c.var.db,
      sent.map(({ spliceId }) => spliceId),
    ));
  const entries: Received[] = sent.map((entry) => ({
    ...entry,
    receipt: receipt && { ...receipt, projectId: projectOf?.get(entry.spliceId) },
  }));
  const recorded = await recordByServerClock(
    c.var,
    entries,
    async (db) => {
      const ids = entries.map(({ spliceId }) => spliceId);
      const projectOf = await projectsOfSplices(db, ids);
      return ids.map((id) => projectOf.get(id) ?? null);
    },
    (db, ours) =>
      recordOrDefer(db, ours, (known) =>
        known.length === 1 && isPlain(known) ? recordTogether(db, known[0]!) : record(db, known),
      ),
  );
  return c.json({ recorded }, 200);
});
