import { cableSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

export const saveCable = command({
  name: 'cable.save',
  needs: () => ({ right: 'decide' }),
  schema: savedSchema(cableSchema),
  send: (api, cable) =>
    answerOf(
      api.PUT('/api/cables/{cableId}', { params: { path: { cableId: cable.id } }, body: cable }),
    ),
  apply: (rows, { base: _read, ...cable }) => {
    if (rows.isOf(cable.projectId)) rows.put('cables', cable);
  },
});
