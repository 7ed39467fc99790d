import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/SpliceRecord.tsx`. */
export const spliceRecord = phrases({
  aToBToA: 'A to B {aB} · B to A {bA} dB',
  acceptRedoSkipOrRemove: 'Accept, redo, skip or remove',
  addWhatWasSeen: 'Add what was seen',
  addAMeasuredFigure: 'Add a measured figure',
  atTheBench: 'At the Bench',
  atWavelengthNm: ' at {wavelengthNm} nm',
  fromTheSpliceList: 'From the splice list',
  missingAtNm: 'Missing: {grade} at {missing} nm.',
  nameTraySlotMethod:
    '{name} · {tray, plural, =0 {at its port} other {tray {tray} slot {slot}}} · {method}',
  nmOneWay: '{wavelengthNm} nm one-way',
  noFigureYet: 'No figure yet.',
  nothingIsRecordedYet: 'Nothing is recorded yet.',
  position: 'position {position}',
  removed: 'Removed.',
  takeTheDecisionBack: 'Take the decision back',
  whatCounts: 'What counts',
  whatFollowsIsHowItLay: '{moment}, {by}: {why} What follows is how it lay.',
  withinTheLimits: 'Within the limits.',
});
