import { Readable } from 'node:stream';
import { z } from '@hono/zod-openapi';
import { idSchema } from '@cordel/core';
import { inProject, route } from '../accounts/access.ts';
import { answersFile, idParams, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { type ClosureAlong, closuresAlong } from './read.ts';

const along = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/take-along',
  summary: 'Closures with all that work there needs: a line of JSON each, for work without signal',
  description:
    'Each line has what /work, /closing (without its digest) and /plan of the closure answer, under these names.',
  request: {
    params: idParams('projectId'),
    query: z.object({
      /** Closures that are wanted, with commas between; all where it is left out. */
      closures: z
        .string()
        .transform((list) => list.split(','))
        .pipe(z.array(idSchema))
        .optional(),
    }),
  },
  responses: answersFile('application/x-ndjson', 'The closures'),
});

async function* linesOf(list: AsyncIterable<ClosureAlong>): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  for await (const closure of list) yield encoder.encode(`${JSON.stringify(closure)}\n`);
}

export const takeAlongRoutes = router().openapi(along, async (c) => {
  const { projectId } = c.req.valid('param');
  await getProject(c.var.db, projectId);
  const { closures: wanted = null } = c.req.valid('query');
  const lines = Readable.from(linesOf(closuresAlong(c.var.db, projectId, wanted)), {
    objectMode: false,
  });
  return c.body(Readable.toWeb(lines) as ReadableStream, 200, {
    'content-type': 'application/x-ndjson',
  });
});
