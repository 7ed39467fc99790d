import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/FoundList.tsx`. */
export const foundList = phrases({
  all: 'All {rows}',
  searchForAFiberA100:
    'Search for a fiber (A 100, 7/12, tube 9 brown), a tray, a port, a closure, a cable, the name of a circuit or the note of a plan line.',
});
