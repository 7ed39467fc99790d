import { z } from '@hono/zod-openapi';
import {
  issue,
  LIGHTS,
  directionSchema,
  idSchema,
  originSchema,
  personSchema,
  timeSchema,
  tracePlaceSchema,
  uploadSchema,
} from '@cordel/core';
import {
  CAUSES,
  findingMessageSchema,
  reelProblemSchema,
  whereMessageSchema,
  correctionMessageSchema,
  proofMessageSchema,
  budgetMessageSchema,
} from '@cordel/core/otdr';
import { inProject, ofRecord, route } from '../accounts/access.ts';
import { answers, idParams, jsonBody } from '../http/router.ts';
import { traceFactsSchema } from './facts.ts';
import { HELD_BACK } from './readings.ts';
import { OTDR_FAULTS } from './otdr.ts';

const project = idParams('projectId');
export const lossSchema = z.object({ lossDb: z.number(), sigmaDb: z.number() });

export const postTrace = route(inProject('inspect'), {
  method: 'post',
  path: '/projects/{projectId}/traces',
  summary: 'Import a trace file, kept byte for byte, and say where it belongs',
  description:
    'The same content sent again, under whatever name, is the trace that is here already.',
  request: {
    params: project,
    body: jsonBody(
      z.object({
        id: idSchema,
        name: z.string().trim().min(1).max(200),
        /** The file; or it was sent before in pieces, and is named by `file`. */
        bytes: z.base64().min(1).optional(),
        file: uploadSchema.optional(),
        /** Null where nobody has said yet. */
        place: tracePlaceSchema.nullable(),
      }),
    ),
  },
  responses: answers(z.object({ id: idSchema, known: z.boolean() }), 'The trace'),
});

export const list = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/traces',
  summary: 'The traces of a project, in the order in which they came in',
  request: { params: project },
  responses: answers(
    z.array(
      z.object({
        id: idSchema,
        name: z.string(),
        digest: z.string(),
        receivedAt: z.string(),
        origin: originSchema,
        facts: traceFactsSchema,
        place: tracePlaceSchema.nullable(),
      }),
    ),
    'The traces',
  ),
});

export const places = route(inProject('inspect'), {
  method: 'post',
  path: '/projects/{projectId}/trace-places',
  summary: 'Say where traces belong, or set them aside',
  request: {
    params: project,
    body: jsonBody(z.object({ entries: z.array(tracePlaceSchema).min(1).max(500) })),
  },
  responses: answers(z.object({ placed: z.int() }), 'How many were said'),
});

export const file = route(ofRecord('trace', 'read'), {
  method: 'get',
  path: '/traces/{traceId}/file.sor',
  summary: 'A trace file as it came, byte for byte',
  request: { params: idParams('traceId') },
  responses: {
    ...answers(z.unknown(), 'The file'),
    200: { description: 'The file', content: { 'application/octet-stream': { schema: z.any() } } },
  },
});

const whereSchema = z.object({
  from: z.string(),
  closureId: z.string().nullable(),
  toward: z.string(),
  cable: z.string(),
  sheathM: z.number(),
  sigmaM: z.number(),
  inCoil: z.boolean(),
  markM: z.number().nullable(),
});

export const findingSchema = z.object({
  cause: z.enum(CAUSES),
  weight: z.enum(['bad', 'look']),
  circuits: z.array(z.string()),
  spliceIds: z.array(idSchema),
  closureId: z.string().nullable(),
  message: findingMessageSchema,
  where: z.array(whereMessageSchema),
  place: whereSchema.nullable(),
});

const proofSchema = z.object({
  traces: z.int(),
  /** Traces that belong nowhere yet. */
  unplaced: z.int(),
  circuits: z.array(z.object({ key: z.string(), label: z.string(), to: z.string() })),
  scale: z.number(),
  corrections: z.array(
    z.object({
      kind: z.string(),
      closureId: z.string().nullable(),
      message: correctionMessageSchema,
    }),
  ),
  problems: z.array(
    z.object({
      kind: z.string(),
      circuit: z.string().nullable(),
      traces: z.array(z.string()),
      message: proofMessageSchema,
    }),
  ),
  findings: z.array(findingSchema),
  /** Figures that wait to go into the Ledger, those that are there, those that are held back. */
  ledger: z.object({
    fresh: z.int(),
    there: z.int(),
    held: z.array(z.object({ count: z.int(), why: z.enum(HELD_BACK) })),
  }),
});

export const proof = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/proof',
  summary: 'What the traces prove: the fitted route, what is odd, what is bad, why and where',
  request: { params: project },
  responses: answers(proofSchema, 'The proof'),
});

export const put = route(inProject('inspect'), {
  method: 'post',
  path: '/projects/{projectId}/proof/readings',
  summary: 'Put the figures of all traces into the Ledger; the same once more changes nothing',
  request: { params: project, body: jsonBody(z.object({ by: personSchema, at: timeSchema })) },
  responses: answers(z.object({ recorded: z.int() }), 'How many were new'),
});

export const circuit = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/proof/circuits/{cableId}/{fiber}',
  summary: 'One circuit with its traces aligned with it',
  request: {
    params: project.extend({ cableId: idSchema, fiber: z.coerce.number().int().min(1) }),
  },
  responses: answers(
    z.object({
      key: z.string(),
      label: z.string(),
      points: z.array(
        z.object({
          closureId: z.string().nullable(),
          name: z.string(),
          tray: z.int().nullable(),
          spliceId: z.string().nullable(),
          /** Meters of fiber from end A; null where nothing tells. */
          positionM: z.number().nullable(),
        }),
      ),
      spans: z.array(
        z.object({ cable: z.string(), fiber: z.int(), sheathM: z.number().nullable() }),
      ),
      /** Meters of fiber from end to end. */
      lengthM: z.number(),
      traces: z.array(
        z.object({
          measuredAt: timeSchema.nullable(),
          id: z.string(),
          name: z.string(),
          direction: directionSchema,
          wavelengthNm: z.int(),
          /** Where on its fiber the circuit begins; and the ratio of its group index to that of its peers, by which its
           * distances are multiplied. */
          startM: z.number(),
          indexRatio: z.number(),
          endM: z.number().nullable(),
        }),
      ),
      /** Traces of the fibers of its tube or ribbon. */
      peers: z.array(
        z.object({
          fiber: z.int(),
          id: z.string(),
          direction: directionSchema,
          wavelengthNm: z.int(),
          startM: z.number(),
          indexRatio: z.number(),
          lengthM: z.number(),
        }),
      ),
      splices: z.array(
        z.object({
          point: z.int(),
          wavelengthNm: z.int(),
          forward: lossSchema.nullable(),
          backward: lossSchema.nullable(),
          mean: lossSchema.nullable(),
          modeField: lossSchema.nullable(),
        }),
      ),
      totals: z.array(z.object({ wavelengthNm: z.int(), mean: lossSchema.nullable() })),
      findings: z.array(findingSchema),
    }),
    'The circuit',
  ),
});

export const history = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/proof/circuits/{cableId}/{fiber}/history',
  summary:
    'All shots of a circuit by end and wavelength, oldest first, and what moved since the first',
  request: {
    params: project.extend({ cableId: idSchema, fiber: z.coerce.number().int().min(1) }),
  },
  responses: answers(
    z.array(
      z.object({
        direction: directionSchema,
        wavelengthNm: z.int(),
        shots: z.array(
          z.object({
            id: idSchema,
            name: z.string(),
            measuredAt: timeSchema.nullable(),
            total: lossSchema.nullable(),
          }),
        ),
        changes: z.array(
          z.object({
            point: z.int().nullable(),
            first: lossSchema,
            newest: lossSchema,
            byDb: z.number(),
            sigmaDb: z.number(),
            verdict: z.enum(['moved', 'maybe', 'same']),
          }),
        ),
        reels: z.array(
          z.object({
            span: z.int(),
            number: z.string().nullable(),
            measuredAt: timeSchema.nullable(),
            reelDbPerKm: z.number(),
            nowDbPerKm: z.number(),
            byDb: z.number(),
            sigmaDb: z.number(),
            verdict: z.enum(['moved', 'maybe', 'same']),
          }),
        ),
      }),
    ),
    'Series of shots',
  ),
});

export const reels = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/cables/{cableId}/reel',
  summary: 'The fibers of a cable as they were shot on its reel, each accepted or not',
  request: { params: idParams('projectId', 'cableId') },
  responses: answers(
    z.object({
      fibers: z.int(),
      shots: z.array(
        z.object({
          traceId: idSchema,
          name: z.string(),
          fiber: z.int(),
          direction: directionSchema,
          wavelengthNm: z.int(),
          measuredAt: timeSchema.nullable(),
          lengthM: z.number().nullable(),
          attenuation: lossSchema.nullable(),
          mostDbPerKm: z.number().nullable(),
          verdict: z.enum(['accepted', 'rejected', 'check']),
          problems: z.array(reelProblemSchema),
        }),
      ),
    }),
    'The reel',
  ),
});

export const alerts = route(ofRecord('closure', 'read'), {
  method: 'get',
  path: '/closures/{closureId}/trace-alerts',
  summary: 'Splices of a closure that traces say are to be respliced before their trays are closed',
  request: { params: idParams('closureId') },
  responses: answers(
    z.array(
      z.object({
        weight: z.enum(['bad', 'look']),
        spliceIds: z.array(idSchema),
        message: findingMessageSchema,
        where: z.array(whereMessageSchema),
        at: timeSchema,
      }),
    ),
    'Alerts',
  ),
});

export const ends = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/cables/{cableId}/circuit-ends',
  summary: 'The places at both ends of the circuit of each fiber of a cable, where it begins first',
  request: { params: project.extend({ cableId: idSchema }) },
  responses: answers(
    z.array(z.object({ fiber: z.int(), from: z.string(), to: z.string() })),
    'A circuit a fiber',
  ),
});

export const circuitBudgetSchema = z.object({
  wavelengthNm: z.int(),
  expectedMdb: z.number(),
  expectedSigmaMdb: z.number(),
  madeMdb: z.number(),
  madeSigmaMdb: z.number(),
  measuredMdb: z.number().nullable(),
  measuredSigmaMdb: z.number().nullable(),
  assumedMdb: z.number(),
  limitMdb: z.number(),
  marginMdb: z.number(),
  marginSigmaMdb: z.number(),
});

export const budget = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/budget',
  summary: 'Expected and measured loss of every circuit, those without light first',
  request: {
    params: project,
    query: z.object({
      offset: z.coerce.number().int().min(0).default(0),
      limit: z.coerce.number().int().min(1).max(1000).default(200),
    }),
  },
  responses: answers(
    z.object({
      total: z.int(),
      counts: z.record(z.enum(LIGHTS), z.int()),
      rows: z.array(
        z.object({
          circuit: z.string(),
          label: z.string(),
          cableId: idSchema,
          fiber: z.int(),
          from: z.string(),
          to: z.string(),
          splitters: z.array(z.object({ name: z.string(), output: z.int() })),
          splitterMdb: z.number(),
          ends: z.int(),
          lengthM: z.number().nullable(),
          splices: z.int(),
          open: z.int(),
          lights: z.enum(LIGHTS),
          why: budgetMessageSchema,
          budgets: z.array(circuitBudgetSchema),
        }),
      ),
    }),
    'Circuits',
  ),
});

export const otdr = route(inProject('inspect'), {
  method: 'post',
  path: '/projects/{projectId}/standin/otdr',
  summary: 'Shoot a circuit with the simulated OTDR',
  request: {
    params: project,
    body: jsonBody(
      z.object({
        cableId: idSchema,
        fiber: z.int().min(1),
        direction: directionSchema,
        wavelengthNm: z.union(
          [z.literal(1310), z.literal(1490), z.literal(1550), z.literal(1625)],
          {
            error: issue('noSuchLaser'),
          },
        ),
        pulseNs: z.int().min(10, issue('pulseTooShort')).max(2000, issue('pulseTooLong')),
        averages: z.int().min(16).max(1_000_000),
        /** The cable is on its reel yet: its fiber alone is shot. */
        isOnReel: z.boolean().default(false),
        faults: z.array(z.enum(OTDR_FAULTS)).default([]),
      }),
    ),
  },
  responses: answers(z.object({ name: z.string(), bytes: z.string() }), 'A trace file in base 64'),
});
