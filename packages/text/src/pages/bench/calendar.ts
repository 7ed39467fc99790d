import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/shift/calendar.ts`. */
export const calendar = phrases({
  break: 'Break',
  lastSafeMomentToBegin: 'Last safe moment to begin {shiftUnit}',
  likelyFinishNineInTenBy:
    'Likely finish {likely}, nine in ten by {latest}. Done within the window with {inWindow} %.',
  splicingWindowClosure: 'Splicing window: {closure}',
});
