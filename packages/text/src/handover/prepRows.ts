import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/prepRows.ts`. */
export const prepRows = phrases({
  answer: '{asked}: {answer}',
  cut: 'Cut {unit, select, tube {tube} other {ribbon}} {number}',
});
