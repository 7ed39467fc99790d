import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/traces`. */
export const tracesProblems = problems({
  otherTraceId: 'The id of the trace that is sent.',
  placeOfOtherTrace: 'The place is another trace’s.',
  notInProject: 'The project does not have it.',
});
