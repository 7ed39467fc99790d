import { z } from '@hono/zod-openapi';
import { and, eq } from 'drizzle-orm';
import {
  closureRowSchema,
  evidenceSchema,
  fiberRowSchema,
  foundRowsSchema,
  idSchema,
  ledgerQuerySchema,
  pageOf,
  redoRowSchema,
  spliceRowSchema,
  spliceSchema,
  tallySchema,
  trayRowSchema,
} from '@cordel/core';
import { inProject, ofRecord, route } from '../accounts/access.ts';
import { spliceColumns } from '../splices/columns.ts';
import { closures, splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { notFound } from '../http/problem.ts';
import { answers, idParams, router } from '../http/router.ts';
import { findAll } from './found.ts';
import {
  closureRows,
  fiberRows,
  redoRows,
  routeOrder,
  spliceRowColumns,
  spliceRows,
  trayRows,
} from './queries.ts';
import { refresh } from './refresh.ts';

const params = idParams('projectId');

const summary = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/ledger/closures',
  summary: 'The project as a whole and every closure in route order',
  request: { params },
  responses: answers(
    z.object({ project: tallySchema, closures: z.array(closureRowSchema) }),
    'The summary',
  ),
});

const page = <const Path extends string, Row extends z.ZodType>(
  path: Path,
  row: Row,
  what: string,
) =>
  route(inProject('read'), {
    method: 'get',
    path: `/projects/{projectId}/ledger/${path}`,
    summary: what,
    request: { params, query: ledgerQuerySchema },
    responses: answers(pageOf(row), 'A page of rows'),
  });

const trays = page('trays', trayRowSchema, 'A row a tray');
const fibers = page('fibers', fiberRowSchema, 'A row a fiber along the route');
const spliceList = page('splices', spliceRowSchema, 'A row a splice');
const redo = page('redo', redoRowSchema, 'Splices to redo, with reasons');

const search = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/ledger/search',
  summary: 'Fibers, splices, trays, closures and cables that a search line finds',
  request: { params, query: ledgerQuerySchema.pick({ q: true, closureId: true }) },
  responses: answers(foundRowsSchema, 'The first rows of each kind, and how many there are'),
});

const splice = route(ofRecord('splice', 'read'), {
  method: 'get',
  path: '/splices/{spliceId}',
  summary: 'A splice with all its evidence',
  request: { params: idParams('spliceId') },
  responses: answers(
    z.object({ splice: spliceSchema, evidence: z.array(evidenceSchema) }),
    'The splice',
  ),
});

const fiber = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/fibers/{cableId}/{fiber}',
  summary: 'A fiber along the route: its splices from the head on',
  request: {
    params: z.object({
      projectId: idSchema,
      cableId: idSchema,
      fiber: z.coerce.number().int().min(1),
    }),
  },
  responses: answers(z.object({ rows: z.array(spliceRowSchema) }), 'The fiber'),
});

export const ledgerRoutes = router()
  .openapi(summary, async (c) =>
    c.json(await closureRows(c.var.db, c.req.valid('param').projectId), 200),
  )
  .openapi(trays, async (c) =>
    c.json(await trayRows(c.var.db, c.req.valid('param').projectId, c.req.valid('query')), 200),
  )
  .openapi(fibers, async (c) =>
    c.json(await fiberRows(c.var.db, c.req.valid('param').projectId, c.req.valid('query')), 200),
  )
  .openapi(spliceList, async (c) =>
    c.json(await spliceRows(c.var.db, c.req.valid('param').projectId, c.req.valid('query')), 200),
  )
  .openapi(redo, async (c) =>
    c.json(await redoRows(c.var.db, c.req.valid('param').projectId, c.req.valid('query')), 200),
  )
  .openapi(search, async (c) =>
    c.json(await findAll(c.var.db, c.req.valid('param').projectId, c.req.valid('query')), 200),
  )
  .openapi(splice, async (c) => {
    const { spliceId } = c.req.valid('param');
    const [planned] = await c.var.db
      .select(spliceColumns)
      .from(splices)
      .where(eq(splices.id, spliceId));
    if (!planned) throw notFound('splice');
    return c.json(
      { splice: planned, evidence: await evidenceOf(c.var.db, eq(splices.id, spliceId)) },
      200,
    );
  })
  .openapi(fiber, async (c) => {
    const { projectId, cableId, fiber: number } = c.req.valid('param');
    await refresh(c.var.db, projectId);
    const rows = await c.var.db
      .select(spliceRowColumns)
      .from(splices)
      .innerJoin(closures, eq(closures.id, splices.closureId))
      .where(
        and(
          eq(splices.projectId, projectId),
          eq(splices.live, true),
          eq(splices.headCable, cableId),
          eq(splices.headFiber, number),
        ),
      )
      .orderBy(...routeOrder);
    if (rows.length === 0) throw notFound('fiber');
    return c.json({ rows }, 200);
  });
