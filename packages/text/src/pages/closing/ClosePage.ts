import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/ClosePage.tsx`. */
export const closePage = phrases({
  backToTheList: 'Back to the list',
  closedTestedAndSigned: 'Closed, tested and signed.',
  listDoneOfAll: 'List {done}/{all}',
  onToSigning: 'On to signing',
  onToThePressureTest: 'On to the pressure test',
  signSignatures2: 'Sign {signatures}/2',
  test: 'Test',
  visits: 'Visits',
  goOnToClosing: 'Go on to closing',
});
