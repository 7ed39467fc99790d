import { z } from 'zod';
import { type RemovableKind, removableKindSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import type { TableName } from '../snapshot/snapshot.ts';
import { command } from './command.ts';

const recordSchema = z.object({ kind: removableKindSchema, id: z.string() });

const TABLES: Record<RemovableKind, TableName> = {
  project: 'projects',
  closure: 'closures',
  cable: 'cables',
  hardware: 'hardware',
  instrument: 'instruments',
  scheme: 'schemes',
};

export const deleteRecord = command({
  name: 'record.delete',
  needs: () => ({ right: 'decide' }),
  schema: recordSchema,
  send: (api, { kind, id }) =>
    answerOf(api.DELETE('/api/records/{kind}/{id}', { params: { path: { kind, id } } })),
  apply: (rows, { kind, id }) => rows.remove(TABLES[kind], id),
});

export const archiveRecord = command({
  name: 'record.archive',
  needs: () => ({ right: 'decide' }),
  schema: recordSchema.extend({ archived: z.boolean() }),
  send: (api, { kind, id, archived }) =>
    answerOf(
      api.PUT('/api/records/{kind}/{id}/archived', {
        params: { path: { kind, id } },
        body: { archived },
      }),
    ),
  apply: (rows, { kind, id, archived }) => {
    if (archived) rows.put('archived', { id });
    else rows.remove('archived', id);
    const project = kind === 'project' ? rows.get('projects', id) : undefined;
    if (project) rows.put('projects', { ...project, archived });
  },
});
