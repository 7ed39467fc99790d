import { z } from 'zod';
import { idSchema, personSchema, timeSchema, tracePlaceSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** Says where traces belong that are on the server. */
export const placeTraces = command({
  name: 'traces.place',
  schema: z.object({ projectId: idSchema, entries: z.array(tracePlaceSchema).min(1) }),
  send: (api, { projectId, entries }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/trace-places', {
        params: { path: { projectId } },
        body: { entries },
      }),
    ),
});

/** Records what traces show of splices as their readings. */
export const recordTraceReadings = command({
  name: 'traces.record-readings',
  schema: z.object({ projectId: idSchema, by: personSchema, at: timeSchema }),
  send: (api, { projectId, by, at }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/proof/readings', {
        params: { path: { projectId } },
        body: { by, at },
      }),
    ),
});
