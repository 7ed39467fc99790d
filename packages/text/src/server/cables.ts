import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/cables`. */
export const cablesProblems = problems({
  cableMoved: 'A cable stays in its project.',
  makeUpTooSmall:
    'Fiber {fiber} of cable {name} is spliced, and {makeUp} has no such fiber: choose a larger make-up.',
  otherId: 'The id of the body is not that of the path.',
});
