import { cableSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** `base` is the cable as it had been read: what others have changed since is kept. */
export const saveCable = command({
  name: 'cable.save',
  schema: cableSchema.extend({ base: cableSchema.optional() }),
  send: (api, cable) =>
    answerOf(
      api.PUT('/api/cables/{cableId}', { params: { path: { cableId: cable.id } }, body: cable }),
    ),
  apply: (rows, { base: _read, ...cable }) => {
    if (rows.isOf(cable.projectId)) rows.put('cables', cable);
  },
});
