import { z } from '@hono/zod-openapi';
import { MOST_FILE_BYTES, PIECE_BYTES, digestSchema } from '@cordel/core';
import { uploadProblems as say } from '@cordel/text/server/uploads';
import { anywhere, route } from '../accounts/access.ts';
import { Problem } from '../http/problem.ts';
import { answers, router } from '../http/router.ts';
import { keepPiece, receivedOf } from './queries.ts';

const digestParams = z.object({ digest: digestSchema });
const receivedSchema = z.object({
  /** Bytes that are here, from the file's beginning. */
  received: z.int(),
});

const progress = route(anywhere('inspect'), {
  method: 'get',
  path: '/uploads/{digest}',
  summary: 'How much of a file has arrived that is sent in pieces',
  request: { params: digestParams },
  responses: answers(receivedSchema, 'How much of it is here'),
});

const piece = route(anywhere('inspect'), {
  method: 'put',
  path: '/uploads/{digest}/{start}',
  summary: 'Send the next piece of a file, before the record that names it',
  description:
    'Files are named by their SHA-256. A piece that is here already, or out of turn, changes nothing: ' +
    'the answer says where to go on.',
  request: {
    params: digestParams.extend({
      start: z.coerce
        .number()
        .int()
        .min(0)
        .max(MOST_FILE_BYTES)
        .openapi({ param: { name: 'start', in: 'path', required: true } }),
    }),
    body: {
      required: true,
      content: { 'application/octet-stream': { schema: z.string().openapi({ format: 'binary' }) } },
    },
  },
  responses: answers(receivedSchema, 'How much of it is here now'),
});

export const uploadRoutes = router()
  .openapi(progress, async (c) => {
    const { digest } = c.req.valid('param');
    return c.json({ received: await receivedOf(c.var.db, digest) }, 200);
  })
  .openapi(piece, async (c) => {
    const { digest, start } = c.req.valid('param');
    if (c.req.header('content-type') !== 'application/octet-stream')
      throw new Problem(415, say('pieceNotBytes'));
    const bytes = new Uint8Array(await c.req.arrayBuffer());
    if (bytes.length === 0) throw new Problem(422, say('pieceEmpty'));
    if (bytes.length > PIECE_BYTES)
      throw new Problem(413, say('pieceTooLarge', { kilobytes: PIECE_BYTES / 1024 }));
    return c.json({ received: await keepPiece(c.var.db, digest, start, bytes) }, 200);
  });
