import { z } from '@hono/zod-openapi';
import { idSchema, issue, personSchema, planSchema, uploadSchema } from '@cordel/core';
import { CONDITIONS } from '@cordel/standin/gauge';
import {
  type ClosureRecord,
  changesSince,
  PHOTO_BYTES,
  closingEntrySchema,
  digestOf,
  parseCode,
  photoSchema,
  sealRecord,
  shortCode,
  recordChangeSchema,
} from '@cordel/core/close';
import { shortCodeProblemText } from '@cordel/text/close';
import {
  atBodysClosure,
  atClosure,
  forPeople,
  ofPhoto,
  recordsClosing,
  route,
} from '../accounts/access.ts';
import { notFound, problemAt, sentence } from '../http/problem.ts';
import { answers, answersFile, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { closures, projects } from '../db/schema.ts';
import { eq } from 'drizzle-orm';
import { hasRight, requireConfirmed, signedBy } from '../accounts/actor.ts';
import { keepReceipts } from '../accounts/receipts.ts';
import { inOneTransaction } from '../db/oneTransaction.ts';
import { getClosure } from '../closures/queries.ts';
import { recordInProject } from '../clocks/recordInProject.ts';
import { appendAt } from './append.ts';
import { bytesOf, dropUpload } from '../uploads/queries.ts';
import {
  closingOf,
  hasPhoto,
  keepPhoto,
  photoFile,
  photoRow,
  photosOf,
  signedOf,
} from './queries.ts';
import { runGauge } from './gauge.ts';
import { recordNow } from './record.ts';

/** A photo that was sent in pieces is no larger than one that was sent whole. */
const photoFileSchema = uploadSchema.extend({
  size: z.int().min(1).max(PHOTO_BYTES, issue('photoTooLarge')),
});

const photoRowSchema = photoSchema.omit({ bytes: true }).extend({ digest: z.string() });

const closing = route(atClosure('read'), {
  method: 'get',
  path: '/closures/{closureId}/closing',
  summary: 'What was done to close a closure, and what it is signed with',
  request: { params: idParams('closureId') },
  responses: answers(
    z.object({
      entries: z.array(closingEntrySchema),
      photos: z.array(photoRowSchema),
      /** As it was written; null where the plan is what is spliced. */
      plan: planSchema.nullable(),
      /** Digest of the record as it stands. */
      digest: z.string(),
      /** Records that were signed, the last one last, with what changed since. */
      signed: z.array(
        z.object({
          digest: z.string(),
          /** Whether the record that is kept still is what the digest names. */
          whole: z.boolean(),
          changes: z.array(recordChangeSchema),
        }),
      ),
    }),
    'The closing',
  ),
});

const append = route(recordsClosing, {
  method: 'post',
  path: '/closures/{closureId}/closing',
  summary: 'Append what was done at a closure, all or nothing',
  description: 'Ids are made by the client: the same entries sent again change nothing.',
  request: {
    params: idParams('closureId'),
    body: jsonBody(z.object({ entries: z.array(closingEntrySchema).min(1).max(200) })),
  },
  responses: answers(savedSchema, 'Appended'),
});

const gauge = route(atClosure('record'), {
  method: 'post',
  path: '/closures/{closureId}/simulated-gauge',
  summary: 'Run the simulated gauge of a pressure test on by some minutes',
  description: 'In practice projects only. The same id sent again is the same readings.',
  request: {
    params: idParams('closureId'),
    body: jsonBody(
      z.object({
        id: idSchema,
        roundId: idSchema,
        condition: z.enum(CONDITIONS),
        by: personSchema,
      }),
    ),
  },
  responses: answers(savedSchema, 'Appended'),
});

const record = route(atClosure('read'), {
  method: 'get',
  path: '/closures/{closureId}/record.json',
  summary: 'A closure’s record as it stands, as a signature would stand under it',
  request: { params: idParams('closureId') },
  responses: answers(z.record(z.string(), z.unknown()), 'The record'),
});

const postPhoto = route(atBodysClosure('inspect'), {
  method: 'post',
  path: '/photos',
  summary: 'Keep a photo with a closure’s record',
  request: {
    body: jsonBody(
      /** With its bytes, or the name of the file that was sent before in pieces. */
      photoSchema.partial({ bytes: true }).extend({ file: photoFileSchema.optional() }),
    ),
  },
  responses: answers(savedSchema, 'Kept'),
});

const getPhoto = route(ofPhoto('read'), {
  method: 'get',
  path: '/photos/{photoId}',
  summary: 'A photo',
  request: { params: idParams('photoId') },
  responses: answersFile('image/jpeg', 'The picture'),
});

const code = route(forPeople, {
  method: 'get',
  path: '/codes/{code}',
  summary: 'The closure that a label’s code names',
  request: { params: z.object({ code: z.string().max(40) }) },
  responses: answers(
    z.object({
      code: z.string(),
      /** One, but for the rarest of chances. */
      closures: z.array(
        z.object({
          projectId: idSchema,
          project: z.string(),
          closureId: idSchema,
          name: z.string(),
        }),
      ),
    }),
    'The closure',
  ),
});

export const closingRoutes = router()
  .openapi(closing, async (c) => {
    const { db } = c.var;
    const { closureId } = c.req.valid('param');
    const { record: now } = await recordNow(db, closureId);
    const signed = (await signedOf(db, closureId)).map(({ digest, content }) => ({
      digest,
      whole: digestOf(content) === digest,
      changes: changesSince(JSON.parse(content) as ClosureRecord, now),
    }));
    return c.json(
      {
        entries: await closingOf(db, closureId),
        photos: await photosOf(db, closureId),
        plan: now.plan,
        digest: sealRecord(now).digest,
        signed,
      },
      200,
    );
  })
  .openapi(append, async (c) => {
    const { db, actor } = c.var;
    const { closureId } = c.req.valid('param');
    const { projectId } = await getClosure(db, closureId);
    const entries = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
    if (entries.some(({ kind }) => kind === 'sign')) requireConfirmed(actor);
    await recordInProject(c.var, projectId, entries, (on, ours) => appendAt(on, closureId, ours));
    return c.json({ id: closureId }, 200);
  })
  .openapi(gauge, async (c) => {
    const { closureId } = c.req.valid('param');
    await runGauge(c.var.db, closureId, signedBy(c.var.actor, c.req.valid('json')));
    return c.json({ id: closureId }, 200);
  })
  .openapi(record, async (c) => {
    const { record: now } = await recordNow(c.var.db, c.req.valid('param').closureId);
    return c.json(now as unknown as Record<string, unknown>, 200);
  })
  .openapi(postPhoto, async (c) => {
    const photo = signedBy(c.var.actor, c.req.valid('json'));
    const { bytes, file, ...rest } = photo;
    if (file && (await hasPhoto(c.var.db, photo.id, file.digest)))
      return c.json({ id: photo.id }, 200);
    const row = photoRow(rest, await bytesOf(c.var.db, { bytes, file }));
    const { projectId } = await getClosure(c.var.db, photo.closureId);
    await inOneTransaction(c.var.db, async (on) => {
      await keepPhoto(on, row);
      await keepReceipts(on, c.var.actor, projectId, [photo]);
    });
    if (file) await dropUpload(c.var.db, file.digest);
    return c.json({ id: photo.id }, 200);
  })
  .openapi(getPhoto, async (c) => {
    const { photoId } = c.req.valid('param');
    const bytes = await photoFile(c.var.db, photoId);
    return c.body(bytes as Uint8Array<ArrayBuffer>, 200, {
      'content-type': 'image/jpeg',
      // A page shows it as it did; nobody opens what others sent as a page of its own.
      'content-disposition': `attachment; filename="photo-${photoId}.jpg"`,
    });
  })
  .openapi(code, async (c) => {
    const read = parseCode(c.req.valid('param').code);
    if (!read.ok)
      throw problemAt(422, '/code', sentence(shortCodeProblemText(read.error), read.error));
    const all = await c.var.db
      .select({
        projectId: closures.projectId,
        project: projects.name,
        closureId: closures.id,
        name: closures.name,
      })
      .from(closures)
      .innerJoin(projects, eq(projects.id, closures.projectId));
    const found = all.filter(
      ({ closureId, projectId }) =>
        shortCode(closureId) === read.value && hasRight(c.var.actor, projectId, 'read'),
    );
    if (found.length === 0) throw notFound('closure');
    return c.json({ code: read.value, closures: found }, 200);
  });
