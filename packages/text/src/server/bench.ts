import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/bench`. */
export const benchProblems = problems({
  spliceNotInProject: 'A splice that is loaded is not in the project.',
  otherProject: 'It belongs to another project than the path says.',
  builtIn: '{name} ships with Cordel and stays as it is: save your own under another name.',
  otherId: 'The id of the body is not that of the path.',
  splicerUnknown: 'There is no such splicer.',
});
