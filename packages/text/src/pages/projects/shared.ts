import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/projects` share. */
export const projectsShared = phrases({
  goToTheRoute: 'Go to the Route',
  createProject: 'Create project',
  newProject: 'New project',
  nothingHere: 'Nothing here',
  practiceOnly: 'Practice only',
  projectName: 'Project “{name}”',
  theAddressMayBeOldOr: 'The address may be old, or a letter of it is missing.',
  thereIsNoSuchPage: 'There is no such page',
});
