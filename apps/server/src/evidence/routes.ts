import { createRoute, z } from '@hono/zod-openapi';
import { sql } from 'drizzle-orm';
import { evidenceSchema } from '@cordel/core';
import { rowsOf } from '../db/client.ts';
import { refuseFuture } from '../http/moments.ts';
import { answers, jsonBody, router } from '../http/router.ts';
import { isPlain, record } from './queries.ts';
import { recordTogether } from './together.ts';

const post = createRoute({
  method: 'post',
  path: '/evidence',
  summary: 'Append attempts, readings and rulings, all or nothing',
  description: 'Ids are made by the client: the same entries sent again change nothing.',
  request: {
    body: jsonBody(z.object({ entries: z.array(evidenceSchema).min(1).max(500) })),
  },
  responses: answers(z.object({ recorded: z.int() }), 'How many entries were new'),
});

const pulse = createRoute({
  method: 'get',
  path: '/pulse',
  summary: 'What changes whenever there is news, for clients that wait for it',
  responses: answers(
    z.object({
      /** Grows with every entry of evidence. */
      seq: z.number(),
      /** Writes under way: entries with a number up to `seq` may still come of them. */
      writing: z.array(z.string()),
    }),
    'The pulse',
  ),
});

export const evidenceRoutes = router()
  .openapi(post, async (c) => {
    const { entries } = c.req.valid('json');
    refuseFuture(entries);
    const [entry] = entries;
    const recorded =
      entries.length === 1 && isPlain(entries)
        ? await recordTogether(c.var.db, entry!)
        : await record(c.var.db, entries);
    return c.json({ recorded }, 200);
  })
  .openapi(pulse, async (c) => {
    // First the number: what has one by then is done, or among the writes under way.
    const [last] = await rowsOf<{ seq: string }>(
      c.var.db,
      sql`select last_value as seq from evidence_seq`,
    );
    const writing = await rowsOf<{ id: string }>(
      c.var.db,
      sql`select pg_snapshot_xip(pg_current_snapshot())::text as id`,
    );
    return c.json({ seq: Number(last?.seq ?? 0), writing: writing.map(({ id }) => id) }, 200);
  });
