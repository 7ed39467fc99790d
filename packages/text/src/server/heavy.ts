import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/heavy`. */
export const heavyProblems = problems({
  stoppedInTheMiddle:
    'The server had to stop in the middle of this. Nothing was recorded; send it again.',
  tooLargeForMemory:
    'This is larger than the server has memory for. Nothing was recorded. Split it and send the parts.',
});
