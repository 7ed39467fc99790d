import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/SplicerKeys.tsx`. */
export const splicerKeys = phrases({
  asked: 'Which splice is number {number}?',
  splicer: 'Splicer',
  stopped: 'Splicer stopped before the arc',
});
