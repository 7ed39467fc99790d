import { z } from '@hono/zod-openapi';
import {
  FAULTS,
  airSchema,
  idSchema,
  instrumentEntrySchema,
  instrumentSchema,
  receivedRecordSchema,
  setAsideSchema,
  splicerRecordSchema,
} from '@cordel/core';
import { benchProblems as say } from '@cordel/text/server/bench';
import { anywhere, inProject, route } from '../accounts/access.ts';
import { signedBy } from '../accounts/actor.ts';
import { recordInProject } from '../clocks/recordInProject.ts';
import { instruments } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';
import { answers, changedSchema, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { saveOwnRecord } from '../merge/ownRecord.ts';
import { getProject } from '../projects/queries.ts';
import {
  allInstruments,
  appendLog,
  logOf,
  newestRecords,
  putAside,
  putInstrument,
  receive,
  setAsideOf,
  takenRecords,
} from './queries.ts';
import { pressArc, pressCheck, tendStandin } from './standin.ts';

const project = idParams('projectId');
const splicer = z.object({ projectId: idSchema, splicerId: z.string().max(60) });
const writtenSchema = z.object({ fresh: z.int() });

const bench = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/bench',
  summary: 'Instruments, what was done to them, and which records count',
  request: { params: project },
  responses: answers(
    z.object({
      instruments: z.array(instrumentSchema),
      log: z.array(instrumentEntrySchema),
      /** Records that count for a try. */
      taken: z.array(idSchema),
      setAside: z.array(setAsideSchema),
    }),
    'The bench',
  ),
});

const putOne = route(anywhere('record'), {
  method: 'put',
  path: '/instruments/{instrumentId}',
  summary: 'Add a splicer or cleaver of your own, or change it',
  request: {
    params: z.object({ instrumentId: z.string() }),
    body: jsonBody(changedSchema(instrumentSchema)),
  },
  responses: answers(savedSchema, 'Saved'),
});

const records = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/splicer-records',
  summary: 'The newest records of splicers, oldest of them first; the changes go on from there',
  request: { params: project },
  responses: answers(z.array(receivedRecordSchema), 'The records'),
});

const postRecords = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/splicer-records',
  summary: 'Import what a splicer recorded',
  description: 'Kept as it comes. The same run of the same splicer sent again changes nothing.',
  request: {
    params: project,
    body: jsonBody(z.object({ records: z.array(splicerRecordSchema).min(1).max(500) })),
  },
  responses: answers(writtenSchema, 'How many were new'),
});

const postAside = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/set-aside',
  summary: 'Say of records that they belong to no splice',
  request: {
    params: project,
    body: jsonBody(z.object({ entries: z.array(setAsideSchema).min(1).max(500) })),
  },
  responses: answers(writtenSchema, 'Said'),
});

const postLog = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/instrument-log',
  summary: 'Log sessions, arc checks and what was done to instruments',
  request: {
    params: project,
    body: jsonBody(z.object({ entries: z.array(instrumentEntrySchema).min(1).max(500) })),
  },
  responses: answers(writtenSchema, 'Logged'),
});

const arc = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/standins/{splicerId}/arc',
  summary: 'Press the arc of the stand-in for this splicer',
  request: {
    params: splicer,
    body: jsonBody(
      z.object({
        id: idSchema,
        spliceIds: z.array(idSchema).min(1).max(12),
        program: z.string().max(40),
        heater: z.string().max(40).nullable(),
        faults: z.array(z.enum(FAULTS)).default([]),
        tensionOff: z.boolean().default(false),
        label: z.string().max(80).nullable().default(null),
        air: airSchema.default({ temperature: null, humidity: null, pressure: null }),
      }),
    ),
  },
  responses: answers(savedSchema, 'The record it made'),
});

const check = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/standins/{splicerId}/check',
  summary: 'Run a round of an arc check on the stand-in',
  request: { params: splicer },
  responses: answers(z.object({ passed: z.boolean(), arcs: z.int() }), 'How it went'),
});

const service = route(inProject('record'), {
  method: 'post',
  path: '/projects/{projectId}/standins/{splicerId}/service',
  summary: 'Clean the stand-in’s electrodes or turn its blade',
  request: { params: splicer, body: jsonBody(z.object({ what: z.enum(['electrodes', 'blade']) })) },
  responses: answers(z.object({ arcs: z.int() }), 'Done'),
});

/** All entries of a body belong to the project of the path. */
function sameProject(
  entries: readonly { projectId: string }[],
  projectId: string,
  name: string,
): void {
  const index = entries.findIndex((entry) => entry.projectId !== projectId);
  if (index < 0) return;
  throw problemAt(422, `/${name}/${index}/projectId`, say('otherProject'));
}

export const benchRoutes = router()
  .openapi(bench, async (c) => {
    const { db } = c.var;
    const { projectId } = c.req.valid('param');
    await getProject(db, projectId);
    const body = {
      instruments: await allInstruments(db),
      log: await logOf(db, projectId),
      taken: await takenRecords(db, projectId),
      setAside: await setAsideOf(db, projectId),
    };
    return c.json(body, 200);
  })
  .openapi(records, async (c) =>
    c.json(await newestRecords(c.var.db, c.req.valid('param').projectId), 200),
  )
  .openapi(putOne, async (c) => {
    const record = c.req.valid('json');
    if (record.id !== c.req.valid('param').instrumentId) throw new Problem(422, say('otherId'));
    await saveOwnRecord(c.var.db, instruments, instrumentSchema, record, putInstrument);
    return c.json({ id: record.id }, 200);
  })
  .openapi(postRecords, async (c) => {
    const { records } = c.req.valid('json');
    sameProject(records, c.req.valid('param').projectId, 'records');
    return c.json({ fresh: await receive(c.var.db, records) }, 200);
  })
  .openapi(postAside, async (c) => {
    const { actor } = c.var;
    const { projectId } = c.req.valid('param');
    const entries = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
    await recordInProject(c.var, projectId, entries, (on, ours) => putAside(on, projectId, ours));
    return c.json({ fresh: entries.length }, 200);
  })
  .openapi(postLog, async (c) => {
    const { actor } = c.var;
    const { projectId } = c.req.valid('param');
    const entries = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
    sameProject(entries, projectId, 'entries');
    await recordInProject(c.var, projectId, entries, (on, ours) => appendLog(on, ours));
    return c.json({ fresh: entries.length }, 200);
  })
  .openapi(arc, async (c) => {
    const { projectId, splicerId } = c.req.valid('param');
    return c.json(await pressArc(c.var.db, projectId, splicerId, c.req.valid('json')), 200);
  })
  .openapi(check, async (c) => {
    const { projectId, splicerId } = c.req.valid('param');
    return c.json(await pressCheck(c.var.db, projectId, splicerId), 200);
  })
  .openapi(service, async (c) => {
    const { projectId, splicerId } = c.req.valid('param');
    const { what } = c.req.valid('json');
    return c.json(await tendStandin(c.var.db, projectId, splicerId, what), 200);
  });
