import { isDeepStrictEqual } from 'node:util';
import { z } from '@hono/zod-openapi';
import {
  REMOVABLE_KINDS,
  assemblySchema,
  cableSchema,
  closureSchema,
  cursorText,
  hardwareSchema,
  projectSchema,
  schemeSchema,
} from '@cordel/core';
import { eq } from 'drizzle-orm';
import { projectsProblems as say } from '@cordel/text/server/projects';
import { forPeople, inProject, savesProject, route } from '../accounts/access.ts';
import { hasRight } from '../accounts/actor.ts';
import { appendAudit } from '../accounts/audit.ts';
import { makeOwner } from '../accounts/members.ts';
import { projects } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { allHardware, assembliesOf } from '../prep/queries.ts';
import { cursorNow } from '../changes/queries.ts';
import { archivedIds } from '../removal/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import {
  getCables,
  getClosures,
  getProject,
  listProjects,
  lockProject,
  putProject,
} from './queries.ts';
import type { Db } from '../db/client.ts';
import { mergedRecord } from '../merge/records.ts';

const list = route(forPeople, {
  method: 'get',
  path: '/projects',
  summary: 'All projects, the newest first',
  responses: answers(
    z.array(projectSchema.extend({ archived: z.boolean() })),
    'The projects, and whether each is out of the way',
  ),
});

const get = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}',
  summary:
    'A project with its cables, closures, color schemes, hardware and what meets in its closures',
  request: { params: idParams('projectId') },
  responses: answers(
    z.object({
      project: projectSchema,
      cables: z.array(cableSchema),
      closures: z.array(closureSchema),
      schemes: z.array(schemeSchema),
      hardware: z.array(hardwareSchema),
      assemblies: z.array(assemblySchema),
      /** Ids of records that are out of the way. */
      archived: z.array(z.string()),
      /** What to ask for changes after. */
      cursor: z.string(),
    }),
    'The project',
  ),
});

const put = route(savesProject('decide'), {
  method: 'put',
  path: '/projects/{projectId}',
  summary: 'Add a project or change its settings',
  request: { params: idParams('projectId'), body: jsonBody(changedSchema(projectSchema)) },
  responses: answers(savedSchema, 'Saved'),
});

/** Names of the parts of a record that differ. */
const partsChanged = (before: object, after: object): string[] =>
  Object.entries(after)
    .filter(
      ([name, value]) =>
        name !== 'createdAt' &&
        !isDeepStrictEqual(value, (before as Record<string, unknown>)[name]),
    )
    .map(([name]) => name);

export const projectRoutes = router()
  .openapi(list, async (c) => {
    const archived = new Set(await archivedIds(c.var.db, ['project']));
    const { actor } = c.var;
    const all = (await listProjects(c.var.db)).filter(({ id }) => hasRight(actor, id, 'read'));
    return c.json(
      all.map((project) => ({ ...project, archived: archived.has(project.id) })),
      200,
    );
  })
  .openapi(get, async (c) => {
    const { db } = c.var;
    const { projectId } = c.req.valid('param');
    // First, so that what is written meanwhile comes as a change.
    const cursor = cursorText(await cursorNow(db));
    const project = await getProject(db, projectId);
    const body = {
      cursor,
      project,
      cables: await getCables(db, projectId),
      closures: await getClosures(db, projectId),
      schemes: [...(await allSchemes(db)).values()],
      hardware: await allHardware(db),
      assemblies: await assembliesOf(db, projectId),
      archived: await archivedIds(db, REMOVABLE_KINDS),
    };
    return c.json(body, 200);
  })
  .openapi(put, async (c) => {
    const { base, ...project } = c.req.valid('json');
    if (project.id !== c.req.valid('param').projectId) throw new Problem(422, say('otherId'));
    const { actor } = c.var;
    await c.var.db.transaction(async (tx) => {
      const on = tx as unknown as Db;
      await lockProject(on, project.id);
      const [known] = await on.select().from(projects).where(eq(projects.id, project.id));
      const current = base && (await getProject(on, project.id));
      const saved = mergedRecord(base, current, project);
      await putProject(on, saved);
      if (!known) await makeOwner(tx, actor, project.id);
      const parts = partsChanged(known ?? {}, saved);
      await appendAudit(
        tx,
        actor,
        known ? { code: 'projectChanged', parts } : { code: 'projectAdded', name: saved.name },
        { projectId: project.id },
      );
    });
    return c.json({ id: project.id }, 200);
  });
