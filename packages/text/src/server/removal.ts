import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/removal`. */
export const removalProblems = problems({
  inUse:
    'It is in use and cannot be deleted: {dependents}. Archive it instead: it is then out of the way, and nothing is lost.',
  builtIn: 'It ships with Cordel and stays.',
  notFound: 'There is no such record: it may not have been sent yet.',
});
