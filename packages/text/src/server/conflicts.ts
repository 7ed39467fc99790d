import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/conflicts`. */
export const conflictsProblems = problems({
  nothingToDecide: 'There is nothing to decide of this splice: somebody has decided already.',
  plannedOtherwise: 'It cannot go back into the plan as it was: {clash} Change the plan first.',
});
