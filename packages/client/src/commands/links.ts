import { z } from 'zod';
import { idSchema, linkEntrySchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** Records what a power meter and a light source tell of links. */
export const recordLinks = command({
  name: 'links.record',
  needs: () => ({ right: 'inspect' }),
  isRecord: true,
  schema: z.object({ projectId: idSchema, entries: z.array(linkEntrySchema).min(1) }),
  send: (api, { projectId, entries }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/links', {
        params: { path: { projectId } },
        body: { entries },
      }),
    ),
  apply: (rows, { projectId, entries }) => {
    if (rows.isOf(projectId)) rows.append('links', entries);
  },
});
