import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/CopyPlan.tsx`. */
export const copyPlan = phrases({
  cableFor: 'Cable for {name}',
  chooseAClosure: 'Choose a closure',
  closure: 'Closure',
  copyFrom: 'Copy the plan of a closure',
  copyLines: 'Copy {lines, plural, one {# line} other {# lines}}',
  isHere: 'is here',
  noPlanThere: 'That closure has no plan.',
  reading: 'Reading …',
});
