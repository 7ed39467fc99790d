import { z } from '@hono/zod-openapi';
import { inProject, route } from '../accounts/access.ts';
import { hasRight } from '../accounts/actor.ts';
import { atPlace, Problem } from '../http/problem.ts';
import { answers, idParams, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { changesSchema } from './change.ts';
import { type ChangeCursor, readCursor } from '@cordel/core';
import { changesProblems as say } from '@cordel/text/server/changes';
import { type Feeds, answerOfChanges } from './feeds.ts';
import { changesAfter, cursorNow } from './queries.ts';
import { streamChanges } from './stream.ts';

const since = z.object({ since: z.string().max(40).optional() });

const list = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/changes',
  summary: 'What was written after a cursor; without one, the cursor of now',
  description:
    'Every write of a project is in it once, in an order that grows from the end alone. Evidence, entries of closings and records of splicers come along; of everything else the id.',
  request: { params: idParams('projectId'), query: since },
  responses: answers(changesSchema, 'The changes'),
});

const stream = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/changes/stream',
  summary: 'The same as it is written, as server-sent events',
  description:
    'Events `changes` hold what the list answers, and `here` says every ten seconds that the line stands. An event’s id is the cursor behind it.',
  request: { params: idParams('projectId'), query: since },
  responses: {
    200: {
      description: 'A stream of events',
      content: { 'text/event-stream': { schema: z.string() } },
    },
  },
});

/** @throws Problem 422 where it is no cursor */
function cursorFrom(text: string): ChangeCursor {
  const cursor = readCursor(text);
  if (!cursor) throw new Problem(422, say('noCursor'), [atPlace('?since', say('cursorExpected'))]);
  return cursor;
}

export const changeRoutes = (feeds: Feeds) =>
  router()
    .openapi(list, async (c) => {
      const { projectId } = c.req.valid('param');
      const text = c.req.valid('query').since;
      await getProject(c.var.db, projectId);
      const found = text
        ? await changesAfter(c.var.db, projectId, cursorFrom(text))
        : {
            cursor: await cursorNow(c.var.db),
            changes: [],
            reset: false,
            more: false,
            held: false,
          };
      return c.json(answerOfChanges(found), 200);
    })
    .openapi(stream, async (c) => {
      const { projectId } = c.req.valid('param');
      // A client that was cut off says itself how far it got.
      const text = c.req.header('last-event-id') ?? c.req.valid('query').since;
      await getProject(c.var.db, projectId);
      const after = text ? cursorFrom(text) : await cursorNow(c.var.db);
      const mayGoOn = async () => hasRight(await c.var.authenticateAgain(), projectId, 'read');
      return streamChanges(c, c.var.db, feeds, projectId, after, mayGoOn) as never;
    });
