import { z } from '@hono/zod-openapi';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../../db/client.ts';
import { answers, idParams, router } from '../../http/router.ts';
import { forServerOwner, inProject, route } from '../access.ts';

const project = idParams('projectId');

const auditSchema = z.array(
  z.object({
    seq: z.int(),
    at: z.string(),
    code: z.string(),
    parameters: z.record(z.string(), z.unknown()),
    person: z.string().nullable(),
    project: z.string().nullable(),
  }),
);
const page = z.object({ before: z.coerce.number().int().min(1).optional() });

async function auditOf(db: Db, projectId: string | null, before: number | undefined) {
  return rowsOf<z.infer<typeof auditSchema>[number]>(
    db,
    sql`select a.seq::int as seq, to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at,
          a.code, a.parameters, p.name as person, j.name as project
        from audit a left join people p on p.id = a.person_id left join projects j on j.id = a.project_id
        where (${projectId}::uuid is null or a.project_id = ${projectId}::uuid)
          and (${before ?? null}::bigint is null or a.seq < ${before ?? null}::bigint)
        order by a.seq desc limit 200`,
  );
}
const projectAudit = route(inProject('manage'), {
  method: 'get',
  path: '/projects/{projectId}/audit',
  summary: 'Who did what to a project besides recording, the newest first',
  request: { params: project, query: page },
  responses: answers(auditSchema, 'The trail'),
});

const serverAudit = route(forServerOwner, {
  method: 'get',
  path: '/audit',
  summary: 'The same of the whole server, sign-ins too',
  request: { query: page },
  responses: answers(auditSchema, 'The trail'),
});

/** Who did what besides recording. */
export const auditRoutes = router()
  .openapi(projectAudit, async (c) =>
    c.json(
      await auditOf(c.var.db, c.req.valid('param').projectId, c.req.valid('query').before),
      200,
    ),
  )
  .openapi(serverAudit, async (c) =>
    c.json(await auditOf(c.var.db, null, c.req.valid('query').before), 200),
  );
