import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/SkipSheet.tsx`. */
export const skipSheet = phrases({
  aSkippedFiberIsStillTo:
    'A skipped fiber is still to be spliced; a dead one is not. The reason stands in the Ledger.',
  anotherReason: 'Another reason',
  dead: 'Dead',
  deadFiberOnSideA: 'Dead fiber on side A.',
  deadFiberOnSideB: 'Dead fiber on side B.',
  forThisReason: '{labels}, for this reason',
  notSplicedFiberName: 'Not spliced: {fiberName}',
  otherEndNotHereYet: 'Other end not here yet.',
  reservedNotToBeSpliced: 'Reserved: not to be spliced.',
  skipForNow: 'Skip for now',
  theWholeRibbon: 'The whole ribbon',
  thisFiber: 'This fiber',
  tooShortForNow: 'Too short for now.',
});
