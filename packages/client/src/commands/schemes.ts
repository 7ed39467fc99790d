import { schemeSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

export const saveScheme = command({
  name: 'scheme.save',
  needs: () => ({ right: 'decide', anywhere: true }),
  schema: savedSchema(schemeSchema),
  send: (api, scheme) =>
    answerOf(
      api.PUT('/api/schemes/{schemeId}', {
        params: { path: { schemeId: scheme.id } },
        body: scheme,
      }),
    ),
  apply: (rows, { base: _read, ...scheme }) => rows.put('schemes', scheme),
});
