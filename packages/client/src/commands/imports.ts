import { z } from 'zod';
import {
  LIST_COLUMNS,
  cableSchema,
  idSchema,
  methodSchema,
  sameNameSchema,
  sameNamesSchema,
} from '@cordel/core';
import { answerOf } from '../api/api.ts';
import type { paths } from '../api/paths.ts';
import { command } from './command.ts';

const columnSchema = z.int().min(0).nullable();
const columnsSchema = z.object(
  Object.fromEntries(LIST_COLUMNS.map((column) => [column, columnSchema])) as Record<
    (typeof LIST_COLUMNS)[number],
    typeof columnSchema
  >,
);

export const importSpliceList = command({
  name: 'splice-list.import',
  needs: () => ({ right: 'decide' }),
  schema: z.object({
    projectId: idSchema,
    importId: idSchema,
    text: z.string(),
    match: columnsSchema,
    method: methodSchema,
    cables: z.array(cableSchema),
    sameNames: sameNamesSchema,
  }),
  send: (api, { projectId, ...list }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/splice-list', {
        params: { path: { projectId } },
        body: list,
      }),
    ),
});

export const importRoute = command({
  name: 'route.import',
  needs: () => ({ right: 'decide' }),
  schema: z.object({
    projectId: idSchema,
    importId: idSchema,
    text: z.string(),
    swap: z.boolean(),
    start: z.int(),
    sameNames: z.array(sameNameSchema),
  }),
  send: (api, { projectId, ...route }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/geojson', {
        params: { path: { projectId } },
        body: route,
      }),
    ),
});

type ProjectDocument = NonNullable<
  paths['/api/documents']['post']['requestBody']
>['content']['application/json'];

/** A project's document as it left the server; it is checked there, whole. */
export const importDocument = command({
  name: 'document.import',
  needs: () => ({ right: 'decide', anywhere: true }),
  schema: z.object({ document: z.custom<ProjectDocument>((given) => typeof given === 'object') }),
  send: (api, { document }) => answerOf(api.POST('/api/documents', { body: document })),
});
