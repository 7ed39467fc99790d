import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/plan` share. */
export const planShared = phrases({
  linesOfThePlan: 'Lines of the plan',
  planOfName: 'Plan of {name}',
  reserve: 'Reserve',
  through: 'Through',
  trayNumber: 'Tray {number}',
  traysOfName: 'Trays of {name}',
});
