import { closureSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

export const saveClosure = command({
  name: 'closure.save',
  needs: () => ({ right: 'decide' }),
  schema: savedSchema(closureSchema),
  send: (api, closure) =>
    answerOf(
      api.PUT('/api/closures/{closureId}', {
        params: { path: { closureId: closure.id } },
        body: closure,
      }),
    ),
  apply: (rows, { base: _read, ...closure }) => {
    if (rows.isOf(closure.projectId)) rows.put('closures', closure);
  },
});
