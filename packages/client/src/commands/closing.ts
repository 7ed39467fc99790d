import { z } from 'zod';
import { idSchema } from '@cordel/core';
import { closingEntrySchema, photoSchema } from '@cordel/core/closing';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

export const appendClosing = command({
  name: 'closing.append',
  schema: z.object({ closureId: idSchema, entries: z.array(closingEntrySchema).min(1) }),
  send: (api, { closureId, entries }) =>
    answerOf(
      api.POST('/api/closures/{closureId}/closing', {
        params: { path: { closureId } },
        body: { entries },
      }),
    ),
  apply: (rows, { closureId, entries }) => {
    if (rows.isAt(closureId)) rows.append('closing', entries);
  },
});

export const addPhoto = command({
  name: 'photo.add',
  schema: photoSchema,
  send: (api, photo) => answerOf(api.POST('/api/photos', { body: photo })),
  apply: (rows, photo) => {
    if (rows.isAt(photo.closureId)) rows.append('photos', [photo]);
  },
});
