import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/CutOverRecord.tsx`. */
export const cutOverRecord = phrases({
  asPlanned: 'As planned',
  cutOverAsItGoes: 'Cut-over as it goes',
  isDownAgain: '{name} is down again',
  nameIsBack: '{name} is back',
  nameIsDown: '{name} is down',
  pressAsEachCircuitGoesDown: 'Press as each circuit goes down and as its owner says it is back.',
});
