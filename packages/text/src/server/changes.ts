import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/changes`. */
export const changesProblems = problems({
  noCursor: 'That is no cursor.',
  cursorExpected: 'The `cursor` of an answer before, as it is.',
});
