import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/schemes`. */
export const schemesProblems = problems({
  builtIn: '{name} ships with Cordel and stays as it is: save your own under another name.',
  otherId: 'The id of the body is not that of the path.',
  schemeUnknown: 'There is no color scheme “{id}”: choose one of {known}.',
});
