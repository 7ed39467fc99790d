import { z } from 'zod';
import { idSchema, mostOf, rightForClosing, uploadSchema } from '@cordel/core';
import { closingEntrySchema, photoSchema } from '@cordel/core/closing';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

export const appendClosing = command({
  name: 'closing.append',
  needs: ({ entries }) => ({ right: mostOf(entries.map(rightForClosing)) }),
  isRecord: true,
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
  needs: () => ({ right: 'inspect' }),
  /** Its bytes go along as a file; earlier pages had them in the input. */
  schema: photoSchema.partial({ bytes: true }).extend({ file: uploadSchema.optional() }),
  send: (api, { file, ...photo }, sentAs) =>
    answerOf(api.POST('/api/photos', { body: { ...photo, ...(file && sentAs(file)) } })),
  apply: (rows, photo) => {
    if (rows.isAt(photo.closureId)) rows.append('photos', [photo]);
  },
});
