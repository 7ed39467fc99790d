import { z } from 'zod';
import { idSchema, paperSchema, personSchema, timeSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

export const askForPackage = command({
  name: 'package.ask',
  needs: () => ({ right: 'record' }),
  schema: z.object({
    projectId: idSchema,
    id: idSchema,
    closureId: idSchema.nullable(),
    paper: paperSchema,
    by: personSchema,
    at: timeSchema,
  }),
  send: (api, { projectId, ...asked }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/packages', {
        params: { path: { projectId } },
        body: asked,
      }),
    ),
});

export const stopPackage = command({
  name: 'package.stop',
  needs: () => ({ right: 'record' }),
  schema: z.object({ packageId: idSchema }),
  send: (api, { packageId }) =>
    answerOf(api.POST('/api/packages/{packageId}/stop', { params: { path: { packageId } } })),
});
