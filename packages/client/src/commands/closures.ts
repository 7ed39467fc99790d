import { closureSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** `base` is the closure as it had been read: what others have changed since is kept. */
export const saveClosure = command({
  name: 'closure.save',
  schema: closureSchema.extend({ base: closureSchema.optional() }),
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
