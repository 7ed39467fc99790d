import { z } from '@hono/zod-openapi';
import { CHAINED_KINDS } from '@cordel/core/close';
import { inProject, route } from '../accounts/access.ts';
import { answers, idParams, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { checkRecord } from './chain.ts';

const checkpointSchema = z.object({
  projectId: z.string(),
  number: z.int(),
  hash: z.string(),
  at: z.string(),
  publicKey: z.string(),
  signature: z.string(),
});

const entryProblem = <Code extends string>(code: Code) =>
  z.object({
    code: z.literal(code),
    number: z.int(),
    kind: z.enum(CHAINED_KINDS),
    entryId: z.string(),
  });

const linkProblem = <Code extends string>(code: Code) =>
  z.object({ code: z.literal(code), number: z.int() });

const check = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/chain',
  summary:
    'Whether the record is what was recorded: its chain of hashes, and what the server signed',
  description:
    'Every entry is a link: SHA-256 over its digest and the link before it. Checkpoints are signed with the server’s key (Ed25519). What is new is chained first.',
  request: { params: idParams('projectId') },
  responses: answers(
    z.object({
      links: z.int(),
      checkpoint: checkpointSchema.nullable(),
      /** The first hundred. */
      problems: z.array(
        z.discriminatedUnion('code', [
          entryProblem('entryChanged'),
          entryProblem('entryMissing'),
          linkProblem('linkBroken'),
          linkProblem('linkMissing'),
          linkProblem('checkpointDiffers'),
          linkProblem('chainCutShort'),
          linkProblem('signatureWrong'),
        ]),
      ),
      problemCount: z.int(),
    }),
    'The check',
  ),
});

const MOST_TOLD = 100;

export const chainRoutes = router().openapi(check, async (c) => {
  const { projectId } = c.req.valid('param');
  await getProject(c.var.db, projectId);
  const { links, checkpoint, problems } = await checkRecord(c.var.db, projectId);
  return c.json(
    { links, checkpoint, problems: problems.slice(0, MOST_TOLD), problemCount: problems.length },
    200,
  );
});
