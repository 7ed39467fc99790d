import { projectSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** `base` is the project as it had been read: what others have changed since is kept. */
export const saveProject = command({
  name: 'project.save',
  schema: projectSchema.extend({ base: projectSchema.optional() }),
  send: (api, project) =>
    answerOf(
      api.PUT('/api/projects/{projectId}', {
        params: { path: { projectId: project.id } },
        body: project,
      }),
    ),
  apply: (rows, { base: _read, ...project }) =>
    rows.put('projects', {
      archived: rows.get('projects', project.id)?.archived ?? false,
      ...project,
    }),
});
