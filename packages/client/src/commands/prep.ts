import { z } from 'zod';
import {
  assemblyChangeSchema,
  changeAssembly,
  emptyAssembly,
  hardwareSchema,
  idSchema,
} from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

export const saveHardware = command({
  name: 'hardware.save',
  needs: () => ({ right: 'record', anywhere: true }),
  schema: savedSchema(hardwareSchema),
  send: (api, hardware) =>
    answerOf(
      api.PUT('/api/hardware/{hardwareId}', {
        params: { path: { hardwareId: hardware.id } },
        body: hardware,
      }),
    ),
  apply: (rows, { base: _read, ...hardware }) => rows.put('hardware', hardware),
});

export const changeAssemblyOf = command({
  name: 'assembly.change',
  needs: () => ({ right: 'record' }),
  schema: z.object({ closureId: idSchema, change: assemblyChangeSchema }),
  send: (api, { closureId, change }) =>
    answerOf(
      api.POST('/api/assemblies/{closureId}/changes', {
        params: { path: { closureId } },
        body: change,
      }),
    ),
  apply: (rows, { closureId, change }) => {
    if (!rows.get('closures', closureId)) return;
    const before = rows.get('assemblies', closureId) ?? emptyAssembly(closureId);
    rows.put('assemblies', changeAssembly(before, change));
  },
});
