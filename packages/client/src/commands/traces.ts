import { z } from 'zod';
import { idSchema, personSchema, timeSchema, tracePlaceSchema, uploadSchema } from '@cordel/core';
import type { TraceFacts } from '@cordel/core/otdr';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** Imports a trace file, and says where it belongs. */
export const addTrace = command({
  name: 'trace.add',
  needs: () => ({ right: 'inspect' }),
  schema: z.object({
    projectId: idSchema,
    id: idSchema,
    name: z.string().min(1).max(200),
    file: uploadSchema,
    place: tracePlaceSchema,
    /** What was read in it, to be shown until the server has it. */
    facts: z.custom<TraceFacts>((given) => typeof given === 'object' && given !== null),
  }),
  send: (api, { projectId, file, facts: _shown, ...trace }, sentAs) =>
    answerOf(
      api.POST('/api/projects/{projectId}/traces', {
        params: { path: { projectId } },
        body: { ...trace, ...sentAs(file) },
      }),
    ),
  apply: (rows, { projectId, id, name, file, place, facts }) => {
    if (!rows.isOf(projectId)) return;
    const { digest } = file;
    rows.append('traces', [{ id, name, digest, receivedAt: null, place, facts }]);
  },
});

/** Says where traces belong that are on the server. */
export const placeTraces = command({
  name: 'traces.place',
  needs: () => ({ right: 'inspect' }),
  isRecord: true,
  schema: z.object({ projectId: idSchema, entries: z.array(tracePlaceSchema).min(1) }),
  send: (api, { projectId, entries }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/trace-places', {
        params: { path: { projectId } },
        body: { entries },
      }),
    ),
  apply: (rows, { projectId, entries }) => {
    if (!rows.isOf(projectId)) return;
    for (const place of entries) {
      const trace = rows.get('traces', place.traceId);
      if (trace) rows.put('traces', { ...trace, place });
    }
  },
});

/** Records what traces show of splices as their readings. */
export const recordTraceReadings = command({
  name: 'traces.record-readings',
  needs: () => ({ right: 'inspect' }),
  schema: z.object({ projectId: idSchema, by: personSchema, at: timeSchema }),
  send: (api, { projectId, by, at }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/proof/readings', {
        params: { path: { projectId } },
        body: { by, at },
      }),
    ),
});
