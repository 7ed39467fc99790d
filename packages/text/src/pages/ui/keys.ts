import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/keys.ts`. */
export const keys = phrases({
  closeASheet: 'close a sheet',
  enter: 'Enter',
  esc: 'Esc',
  goToTheBench: 'go to the Bench',
  goToTheKit: 'go to the Kit',
  goToTheLedger: 'go to the Ledger',
  goToTheRoute: 'go to the Route',
  saveNext: 'save, next',
  recordAndRedo: 'record and redo',
  showThisSheet: 'show this sheet',
  skipWithAReason: 'skip with a reason',
  turnTheSignOfAReading: 'turn the sign of a reading',
  undoTheLastEntry: 'undo the last entry',
  typeTheLoss: 'type the loss; 2 is 0.02 dB',
  search: 'search',
  digitsAndPoint: '0 to 9 and .',
});
