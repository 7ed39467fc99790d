import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/handover`. */
export const handoverProblems = problems({
  notMadeYet: 'It is not made yet.',
  otherProject: 'The closure belongs to another project.',
});
