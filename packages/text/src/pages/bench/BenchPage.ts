import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/BenchPage.tsx`. */
export const benchPage = phrases({
  doneOfTotalSpliced: '{done} of {total} spliced',
  saveNext: 'Save, next',
  measure: 'Measure',
  modesWaitingLeft: '{modes}: {waiting} left',
  nextFiber: 'Next fiber',
  redo: 'Redo',
  ribbonOfOneRibbonSleeve: 'Ribbon of {splices}, one ribbon sleeve',
  spliced: 'Spliced',
  traySlot: ' · {tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
});
