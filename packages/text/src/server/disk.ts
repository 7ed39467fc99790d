import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/disk`. */
export const diskProblems = problems({
  diskNearlyFull:
    'The server’s disk is nearly full: {free} are free, and this needs {wanted}. Nothing was recorded. Free some room on the server; what waits on a device is sent then.',
});
