import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/route/ClosureSheet.tsx`. */
export const closureSheet = phrases({
  addMeasuredFigures: 'Add measured figures',
  allSplices: 'All splices',
  atDistance: 'at {distance}',
  closeIt: 'Close it',
  closedAndSigned: 'Closed and signed',
  distanceNotSet: 'distance not set',
  doneOfDueSpliced: '{done} of {due} spliced',
  fiberNameTraySlot:
    '{fiberName} · {tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
  goOnSplicing: 'Go on splicing',
  itsRecord: 'Details',
  meanOfTrayOverItsLimit: 'Mean of tray {traysOver} over its limit.',
  noSplice: 'no splice',
  noSpliceOfItFailsAlone:
    'No splice of it fails alone. Its fibers are high together: check the tray for a bend or a pinch before breaking a splice.',
  notHere: 'Not here',
  openTheBenchForToRedo: 'Open the Bench for {redo} to redo',
  openTheCables: 'Open the cables',
  redoInThisOrder: 'Redo, in this order',
  splicePlanAndTrays: 'Splice plan and trays',
  startSplicing: 'Start splicing',
  thereIsNoSuchClosureIn: 'There is no such closure in this project: go back to the Route.',
  writeTheSplicePlan: 'Write the splice plan',
});
