import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/RulingForm.tsx`. */
export const rulingForm = phrases({
  acceptItAsItIs: 'Accept it as it is',
  deadNotSpliced: 'Dead: not spliced',
  forGood: 'For good.',
  itsRecordStaysItsFibersAnd:
    'Its record stays; its fibers and its slot are free. To join them again, plan a new splice.',
  removedItIsNoMore: 'Removed: it is no more',
  sendItToRedo: 'Send it to redo',
  skipSpliceItLater: 'Skip: splice it later',
  takeItBack: 'Take it back',
  takenBack: 'taken back',
  toRedo: 'to redo',
  whatIsDecided: 'What is decided',
  whoDecides: 'Who decides',
});
