import { signedBy } from '../accounts/actor.ts';
import { appendAudit } from '../accounts/audit.ts';
import { z } from '@hono/zod-openapi';
import { desc, eq } from 'drizzle-orm';
import { issue, idSchema, paperSchema, personSchema, timeSchema } from '@cordel/core';
import {
  LABEL_KINDS,
  LABEL_SHEETS,
  type LabelKind,
  type WordedLabel,
  labelTask,
  labelsOf,
} from '@cordel/core/close';
import { wordedLabel } from '@cordel/text/close';
import { handoverProblems as say } from '@cordel/text/server/handover';
import { inProject, ofRecord, route } from '../accounts/access.ts';
import type { Room } from '../disk/room.ts';
import { recordNow } from '../closing/record.ts';
import { getClosure } from '../closures/queries.ts';
import type { Db } from '../db/client.ts';
import { packages } from '../db/schema.ts';
import { fileName } from '../exchange/fileName.ts';
import { Problem, notFound } from '../http/problem.ts';
import { answers, answersFile, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { getClosures, getProject } from '../projects/queries.ts';
import { estimateBytes } from './feed.ts';
import { makePackage, packageAsShown } from './jobs.ts';
import { archivedIds } from '../removal/queries.ts';
import type { PackageStore } from './store.ts';

const shownSchema = z.object({
  id: idSchema,
  closureId: idSchema.nullable(),
  paper: paperSchema,
  by: personSchema,
  at: timeSchema,
  state: z.enum(['making', 'stopping', 'stopped', 'failed', 'done']),
  /** What is being made, and how many rows are in. */
  part: z.string(),
  done: z.int(),
  total: z.int(),
  problem: z.string().nullable(),
  size: z.number().nullable(),
  digest: z.string().nullable(),
});

const list = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/packages',
  summary: 'As-built packages that were asked for, the newest first, with their progress',
  request: { params: idParams('projectId') },
  responses: answers(z.array(shownSchema), 'The packages'),
});

const ask = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/packages',
  summary: 'Ask for the as-built package of a project or of one closure',
  description: 'It is made in the background. The id is made by the client: asked twice is once.',
  request: {
    params: idParams('projectId'),
    body: jsonBody(
      z.object({
        id: idSchema,
        closureId: idSchema.nullable(),
        paper: paperSchema,
        by: personSchema,
        at: timeSchema,
      }),
    ),
  },
  responses: answers(savedSchema, 'Asked for'),
});

const stop = route(ofRecord('package', 'record'), {
  method: 'post',
  path: '/packages/{packageId}/stop',
  summary: 'Stop making a package; nothing of it is left',
  request: { params: idParams('packageId') },
  responses: answers(savedSchema, 'It stops'),
});

const file = route(ofRecord('package', 'read'), {
  method: 'get',
  path: '/packages/{packageId}/file.zip',
  summary: 'A package that is made',
  request: { params: idParams('packageId') },
  responses: answersFile('application/zip', 'The zip'),
});

const labels = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/labels.pdf',
  summary: 'Labels of a closure, or of all, on sheets',
  request: {
    params: idParams('projectId'),
    query: z.object({
      closure: idSchema.optional(),
      kinds: z.string().default(LABEL_KINDS.join(',')),
      sheet: z.enum(LABEL_SHEETS.map(({ id }) => id) as [string, ...string[]]),
      skip: z.coerce.number().int().min(0).max(200).default(0),
      origin: z.url({
        protocol: /^https?$/,
        error: issue('notHttpAddress'),
      }),
    }),
  },
  responses: answersFile('application/pdf', 'PDF'),
});

async function packageRow(db: Db, id: string) {
  const [row] = await db.select().from(packages).where(eq(packages.id, id));
  if (!row) throw notFound('package');
  return row;
}

interface HandoverSetting {
  /** Where packages are made. */
  folder: string;
  /** On its disk. */
  room: Room;
  onFailure?: (error: unknown) => void;
  /** Where they are kept. */
  store: PackageStore;
}

export const handoverRoutes = ({ folder, room, store, onFailure }: HandoverSetting) =>
  router()
    .openapi(list, async (c) => {
      const { projectId } = c.req.valid('param');
      const rows = await c.var.db
        .select()
        .from(packages)
        .where(eq(packages.projectId, projectId))
        .orderBy(desc(packages.at))
        .limit(30);
      return c.json(await Promise.all(rows.map((row) => packageAsShown(store, row))), 200);
    })
    .openapi(ask, async (c) => {
      const { db } = c.var;
      const { projectId } = c.req.valid('param');
      const asked = signedBy(c.var.actor, c.req.valid('json'));
      await getProject(db, projectId);
      if (asked.closureId && (await getClosure(db, asked.closureId)).projectId !== projectId)
        throw new Problem(422, say('otherProject'));
      await room.need(await estimateBytes(db, { projectId, ...asked }));
      const [fresh] = await db
        .insert(packages)
        .values({ ...asked, at: new Date(asked.at), projectId, state: 'making' })
        .onConflictDoNothing()
        .returning();
      // Where the database is gone meanwhile, whoever asks later is told that it was cut off.
      if (fresh) makePackage({ db, folder, store, onFailure }, fresh).catch(() => undefined);
      return c.json({ id: asked.id }, 200);
    })
    .openapi(stop, async (c) => {
      const { db } = c.var;
      const row = await packageRow(db, c.req.valid('param').packageId);
      if (row.state === 'making')
        await db.update(packages).set({ state: 'stopping' }).where(eq(packages.id, row.id));
      return c.json({ id: row.id }, 200);
    })
    .openapi(file, async (c) => {
      const { db } = c.var;
      const row = await packageRow(db, c.req.valid('param').packageId);
      const shown = await packageAsShown(store, row);
      if (shown.state !== 'done')
        throw new Problem(
          409,
          shown.problem ? { code: 'notMade', text: shown.problem } : say('notMadeYet'),
        );
      await appendAudit(
        db,
        c.var.actor,
        { code: 'exported', what: 'package' },
        { projectId: row.projectId },
      );
      const project = await getProject(db, row.projectId);
      const closure = row.closureId ? await getClosure(db, row.closureId) : null;
      return c.body(store.read(row.id), 200, {
        'content-type': 'application/zip',
        'content-length': String(row.size),
        'content-disposition': `attachment; filename="${fileName(closure ? `${project.name} ${closure.name}` : project.name, '-as-built.zip')}"`,
      });
    })
    .openapi(labels, async (c) => {
      const { db } = c.var;
      const { projectId } = c.req.valid('param');
      const { closure, kinds, sheet, skip, origin } = c.req.valid('query');
      const { name, units } = await getProject(db, projectId);
      const archived = new Set(await archivedIds(db, ['closure']));
      const closures = (await getClosures(db, projectId)).filter(({ id }) =>
        closure === undefined ? !archived.has(id) : id === closure,
      );
      if (closure !== undefined && closures.length === 0) throw notFound('closure');
      const wanted = kinds
        .split(',')
        .filter((kind): kind is LabelKind => (LABEL_KINDS as readonly string[]).includes(kind));
      const list: WordedLabel[] = [];
      for (const { id } of closures) {
        const { record } = await recordNow(db, id);
        const task = labelTask(
          origin.replace(/\/+$/, ''),
          record.project,
          record.closure,
          record.splices,
          record.assembly,
          record.cables,
        );
        list.push(...labelsOf(task, wanted).map((label) => wordedLabel(label, units)));
      }
      const found = LABEL_SHEETS.find(({ id }) => id === sheet)!;
      const { labelSheet } = await import('./labelSheet.ts');
      const bytes = await labelSheet(list, found, skip);
      return c.body(bytes as Uint8Array<ArrayBuffer>, 200, {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${fileName(closure === undefined ? name : closures[0]!.name, '-labels.pdf')}"`,
      });
    });
