import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/prep/PlanConflicts.tsx`. */
export const planConflicts = phrases({
  cutAWindowInIt: 'Cut a window in it',
  itEntersAsExpress: 'It enters as express',
  thePlanSaysOtherwise: 'The plan says otherwise.',
});
