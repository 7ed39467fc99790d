import { projectSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

export const saveProject = command({
  name: 'project.save',
  schema: projectSchema,
  send: (api, project) =>
    answerOf(
      api.PUT('/api/projects/{projectId}', {
        params: { path: { projectId: project.id } },
        body: project,
      }),
    ),
  apply: (rows, project) =>
    rows.put('projects', {
      archived: rows.get('projects', project.id)?.archived ?? false,
      ...project,
    }),
});
