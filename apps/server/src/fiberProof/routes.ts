import { z } from '@hono/zod-openapi';
import {
  FIBER_VERDICTS,
  LIGHTS,
  VERDICTS,
  directionSchema,
  fiberReasonSchema,
  idSchema,
  linkCauseSchema,
  linkEntrySchema,
  timeSchema,
} from '@cordel/core';
import { budgetMessageSchema } from '@cordel/core/otdr';
import { inProject, route } from '../accounts/access.ts';
import { fileName } from '../exchange/fileName.ts';
import { answers, answersFile, idParams, router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { circuitBudgetSchema, findingSchema, lossSchema } from '../traces/api.ts';
import { traceFiles } from '../traces/queries.ts';
import { type FiberProof, fiberProof } from './fiberProof.ts';
import { proofSheet } from './proofSheet.ts';

const fiberParams = idParams('projectId', 'cableId').extend({
  fiber: z.coerce.number().int().min(1),
});
const ways = { AB: lossSchema.nullable(), BA: lossSchema.nullable(), mean: lossSchema.nullable() };

const proof = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/cables/{cableId}/fibers/{fiber}/proof',
  summary: 'All that proves one fiber from port to port, and its verdict',
  request: { params: fiberParams },
  responses: answers(
    z.object({
      cableId: idSchema,
      fiber: z.int(),
      label: z.string(),
      from: z.string(),
      to: z.string(),
      lengthM: z.number(),
      practiceOnly: z.boolean(),
      splices: z.array(
        z.object({
          name: z.string(),
          tray: z.int().nullable(),
          port: z.string().nullable(),
          verdict: z.enum(VERDICTS),
          figures: z.array(
            z.object({
              wavelengthNm: z.int(),
              forward: lossSchema.nullable(),
              backward: lossSchema.nullable(),
              mean: lossSchema.nullable(),
            }),
          ),
        }),
      ),
      totals: z.array(z.object({ wavelengthNm: z.int(), ...ways })),
      budget: z
        .object({
          budgets: z.array(circuitBudgetSchema),
          why: budgetMessageSchema,
          lights: z.enum(LIGHTS),
        })
        .nullable(),
      findings: z.array(findingSchema),
      link: z.object({
        judgements: z.array(
          z.object({
            wavelengthNm: z.int(),
            lossHalfMdb: z.number(),
            leftOutHalfMdb: z.number(),
            sigmaMdb: z.number(),
            isTwoWay: z.boolean(),
            verdict: z.enum(['pass', 'fail', 'one way', 'no limit']),
            excessMdb: z.number().nullable(),
          }),
        ),
        causes: z.array(linkCauseSchema),
      }),
      /** What counts of the link: its readings with their references, and what was seen of its light. */
      entries: z.array(linkEntrySchema),
      traces: z.array(
        z.object({
          id: idSchema,
          name: z.string(),
          direction: directionSchema,
          wavelengthNm: z.int(),
          measuredAt: timeSchema.nullable(),
        }),
      ),
      verdict: z.enum(FIBER_VERDICTS),
      reasons: z.array(fiberReasonSchema),
    }),
    'The proof',
  ),
});

const sheet = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/cables/{cableId}/fibers/{fiber}/proof.pdf',
  summary: 'The same on one page',
  request: { params: fiberParams },
  responses: answersFile('application/pdf', 'PDF'),
});

export const fiberProofRoutes = router()
  .openapi(proof, async (c) => {
    const { projectId, cableId, fiber } = c.req.valid('param');
    const { state, ...rest } = await fiberProof(c.var.db, projectId, cableId, fiber);
    return c.json({ ...rest, entries: entriesOf(state) }, 200);
  })
  .openapi(sheet, async (c) => {
    const { db } = c.var;
    const { projectId, cableId, fiber } = c.req.valid('param');
    const own = await fiberProof(db, projectId, cableId, fiber);
    const files = new Map(
      (
        await traceFiles(
          db,
          own.traces.map(({ id }) => id),
        )
      ).map(({ id, bytes }) => [id, bytes]),
    );
    const project = await getProject(db, projectId);
    const bytes = await proofSheet(own, project, (id) => files.get(id), newestOf(own, project));
    return c.body(bytes as Uint8Array<ArrayBuffer>, 200, {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${fileName(own.label, '-proof.pdf')}"`,
    });
  });

const entriesOf = ({ losses, continuity }: FiberProof['state']) => [
  ...losses.flatMap(({ AB, BA, returnLoss }) => [
    ...[AB, BA].flatMap((way) => (way ? [way.reference, way.entry] : [])),
    ...[returnLoss.AB, returnLoss.BA].flatMap((way) => way ?? []),
  ]),
  ...(continuity ? [continuity] : []),
];

/** The moment of the newest of what a proof stands on: the same proof gives the same sheet. */
function newestOf({ traces, state }: FiberProof, { createdAt }: { createdAt: string }): string {
  const moments = [
    ...traces.flatMap(({ measuredAt }) => measuredAt ?? []),
    ...entriesOf(state).map(({ at }) => at),
  ];
  return moments.reduce((newest, at) => (at > newest ? at : newest), createdAt);
}
