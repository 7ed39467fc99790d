import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/route` share. */
export const routeShared = phrases({
  branchFromParent: 'branch from {parent}',
  doneOfDue: '{done} of {due}',
});
