import { projectSchema, upgradeProject } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

/** A project with the one it was read as. */
function upgradeSaved(input: unknown): unknown {
  const { base, ...project } = input as { base?: unknown };
  return {
    ...(upgradeProject(project) as object),
    ...(base !== undefined && { base: upgradeProject(base) }),
  };
}

export const saveProject = command({
  name: 'project.save',
  needs: () => ({ right: 'decide' }),
  schema: savedSchema(projectSchema),
  upgrade: upgradeSaved,
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
