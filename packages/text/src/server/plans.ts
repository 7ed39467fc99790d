import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/plans`. */
export const plansProblems = problems({
  otherClosure: 'The closure of the body is not that of the path.',
});
