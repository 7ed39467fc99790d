import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/merge`. */
export const mergeProblems = problems({
  changedMeanwhile:
    'Somebody else changed the same since you read it. {fields}. Save again to keep yours.',
  fieldConflict: '{field}: theirs is “{theirs}”, yours is “{yours}”',
});
