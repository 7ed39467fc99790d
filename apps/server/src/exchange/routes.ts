import { createRoute, z } from '@hono/zod-openapi';
import { documentJsonSchema } from '@cordel/core/document';
import { getProject } from '../projects/queries.ts';
import { answers, answersFile, idParams, router, savedSchema } from '../http/router.ts';
import { CSV_KINDS, csvOf } from './csv.ts';
import { fileName } from './fileName.ts';
import { readFrame, writeDocument } from './document.ts';
import { documentStream } from './documentStream.ts';
import { readBody } from './readBody.ts';
import { readStreamed } from './streamedBody.ts';

const schema = createRoute({
  method: 'get',
  path: '/schemas/project.json',
  summary: 'The JSON Schema of a project document',
  responses: answers(z.record(z.string(), z.unknown()), 'The schema'),
});

const download = createRoute({
  method: 'get',
  path: '/projects/{projectId}/document.json',
  summary: 'The whole project as one JSON document',
  request: { params: idParams('projectId') },
  responses: answers(
    z.record(z.string(), z.unknown()),
    'A document that /schemas/project.json describes',
  ),
});

const upload = createRoute({
  method: 'post',
  path: '/documents',
  summary: 'Import a whole project, all or nothing',
  // It is read row by row: what is wrong with the first few hundred is told, however many there are.
  request: {
    body: { required: true, content: { 'application/json': { schema: documentJsonSchema() } } },
  },
  responses: answers(savedSchema, 'The project’s id'),
});

const csv = createRoute({
  method: 'get',
  path: '/projects/{projectId}/csv/{kind}',
  summary: 'Fibers, trays, closures or splices as CSV (RFC 4180)',
  request: { params: idParams('projectId').extend({ kind: z.enum(CSV_KINDS) }) },
  responses: answersFile('text/csv', 'CSV'),
});

const attachment = (name: string) => ({ 'content-disposition': `attachment; filename="${name}"` });

export const exchangeRoutes = router()
  .openapi(schema, (c) => c.json(documentJsonSchema(), 200))
  .openapi(download, async (c) => {
    const { projectId } = c.req.valid('param');
    const frame = await readFrame(c.var.db, projectId);
    return c.body(documentStream(c.var.db, projectId, frame), 200, {
      'content-type': 'application/json; charset=utf-8',
      ...attachment(fileName(frame.project.name, '.json')),
    }) as never;
  })
  .openapi(upload, async (c) => {
    const document = readBody(await readStreamed(c.req.raw.body));
    await writeDocument(c.var.db, document);
    return c.json({ id: document.project.id }, 200);
  })
  .openapi(csv, async (c) => {
    const { projectId, kind } = c.req.valid('param');
    const { name } = await getProject(c.var.db, projectId);
    const body = await csvOf(c.var.db, projectId, kind);
    return c.body(body, 200, {
      'content-type': 'text/csv; charset=utf-8; header=present',
      ...attachment(fileName(name, `-${kind}.csv`)),
    });
  });
