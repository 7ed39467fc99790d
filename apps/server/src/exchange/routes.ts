import { z } from '@hono/zod-openapi';
import { idSchema } from '@cordel/core';
import { documentJsonSchema } from '@cordel/core/document';
import { ofImport, anywhere, forPeople, inProject, route } from '../accounts/access.ts';
import { getProject } from '../projects/queries.ts';
import { answers, answersFile, idParams, router, savedSchema } from '../http/router.ts';
import { appendAudit } from '../accounts/audit.ts';
import { makeOwner } from '../accounts/members.ts';
import { CSV_KINDS, csvOf } from './csv.ts';
import { fileName } from './fileName.ts';
import type { Room } from '../disk/room.ts';
import { documentStream } from './documentStream.ts';
import { documentZip } from './documentZip.ts';
import { readFrame } from './frame.ts';
import { arrive } from './import/arrive.ts';
import { openImport } from './import/importProject.ts';
import { listImports, ownImport, stopImport } from './import/imports.ts';

const schema = route(forPeople, {
  method: 'get',
  path: '/schemas/project.json',
  summary: 'The JSON Schema of a project document',
  responses: answers(z.record(z.string(), z.unknown()), 'The schema'),
});

const download = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/document.json',
  summary: 'The whole project as one JSON document',
  request: { params: idParams('projectId') },
  responses: answers(
    z.record(z.string(), z.unknown()),
    'A document that /schemas/project.json describes',
  ),
});

const downloadZip = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/project.zip',
  summary: 'The whole project as a zip: its document, and its traces and photos as files beside it',
  request: { params: idParams('projectId') },
  responses: answersFile('application/zip', 'The zip'),
});

const upload = route(anywhere('decide'), {
  method: 'post',
  path: '/documents',
  summary: 'Import a whole project, all or nothing: its document as JSON, or its zip',
  description:
    'It is written piece by piece, and there for all once it is in; /imports tells how far it is. With `Prefer: respond-async` (RFC 7240) the answer comes when it is read and found right.',
  // It is read row by row: what is wrong with the first few hundred is told, however many there are.
  request: {
    body: {
      required: true,
      content: {
        'application/json': { schema: documentJsonSchema() },
        'application/zip': { schema: { type: 'string', format: 'binary' } },
      },
    },
  },
  responses: {
    ...answers(savedSchema, 'The project’s id: it is there'),
    202: {
      description: 'The project’s id: it is being written',
      content: { 'application/json': { schema: savedSchema } },
    },
  },
});

const imports = route(anywhere('decide'), {
  method: 'get',
  path: '/imports',
  summary: 'Imports of whole projects that are under way',
  responses: answers(
    z.array(
      z.object({
        projectId: idSchema,
        name: z.string(),
        stage: z.enum(['writing', 'stopping', 'clearing', 'failed']),
        /** Rows that are in, and of how many. */
        done: z.int(),
        total: z.int(),
        /** Why it failed: nothing of it is kept. */
        problem: z.string().nullable(),
      }),
    ),
    'The imports',
  ),
});

const stop = route(ofImport, {
  method: 'delete',
  path: '/imports/{projectId}',
  summary:
    'Stop an import: nothing of it is kept. One that failed is forgotten, one that is over left as it is',
  request: { params: idParams('projectId') },
  responses: answers(savedSchema, 'The project’s id'),
});

const csv = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/csv/{kind}',
  summary: 'Fibers, trays, closures or splices as CSV (RFC 4180)',
  request: { params: idParams('projectId').extend({ kind: z.enum(CSV_KINDS) }) },
  responses: answersFile('text/csv', 'CSV'),
});

const attachment = (name: string) => ({ 'content-disposition': `attachment; filename="${name}"` });

interface ExchangeSetting {
  /** Where files are put that are coming in. */
  folder: string;
  room: Room;
  /** Names this process as the one that imports. */
  owner: string;
  /** Told of an import that failed and that nobody waits for. */
  onFailure(error: unknown): void;
}

export const exchangeRoutes = ({ folder, room, owner, onFailure }: ExchangeSetting) =>
  router()
    .openapi(schema, (c) => c.json(documentJsonSchema(), 200))
    .openapi(download, async (c) => {
      const { projectId } = c.req.valid('param');
      const frame = await readFrame(c.var.db, projectId);
      await appendAudit(
        c.var.db,
        c.var.actor,
        { code: 'exported', what: 'document' },
        { projectId },
      );
      return c.body(await documentStream(c.var.db, projectId, frame), 200, {
        'content-type': 'application/json; charset=utf-8',
        ...attachment(fileName(frame.project.name, '.json')),
      }) as never;
    })
    .openapi(downloadZip, async (c) => {
      const { projectId } = c.req.valid('param');
      const frame = await readFrame(c.var.db, projectId);
      await appendAudit(c.var.db, c.var.actor, { code: 'exported', what: 'zip' }, { projectId });
      return c.body(await documentZip(c.var.db, projectId, frame), 200, {
        'content-type': 'application/zip',
        ...attachment(fileName(frame.project.name, '.zip')),
      });
    })
    .openapi(upload, async (c) => {
      const arrived = await arrive(c.req.raw.body, folder, room);
      const { id } = arrived.document.project;
      const isWaitedFor = !/\brespond-async\b/.test(c.req.header('prefer') ?? '');
      let written: Promise<void>;
      try {
        const write = await openImport(c.var.db, arrived.document, arrived.files, owner);
        await makeOwner(c.var.db, c.var.actor, id);
        if (c.var.actor.kind === 'person') await ownImport(c.var.db, id, c.var.actor.personId);
        const { name } = arrived.document.project;
        await appendAudit(
          c.var.db,
          c.var.actor,
          { code: 'projectImported', name },
          { projectId: id },
        );
        written = write(isWaitedFor).finally(() => arrived.close());
      } catch (error) {
        await arrived.close();
        throw error;
      }
      if (isWaitedFor) {
        await written;
        return c.json({ id }, 200);
      }
      // Its end is told by /imports.
      written.catch((error: unknown) => onFailure(error));
      return c.json({ id }, 202);
    })
    .openapi(imports, async (c) => {
      const { actor } = c.var;
      const personId = actor.kind === 'person' && !actor.ownsServer ? actor.personId : null;
      return c.json(await listImports(c.var.db, personId), 200);
    })
    .openapi(stop, async (c) => {
      const { projectId } = c.req.valid('param');
      await stopImport(c.var.db, projectId);
      return c.json({ id: projectId }, 200);
    })
    .openapi(csv, async (c) => {
      const { projectId, kind } = c.req.valid('param');
      const { name } = await getProject(c.var.db, projectId);
      const body = await csvOf(c.var.db, projectId, kind);
      await appendAudit(c.var.db, c.var.actor, { code: 'exported', what: kind }, { projectId });
      return c.body(body, 200, {
        'content-type': 'text/csv; charset=utf-8; header=present',
        ...attachment(fileName(name, `-${kind}.csv`)),
      });
    });
