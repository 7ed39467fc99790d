import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/Shell.tsx`. */
export const shell = phrases({
  bench: 'Bench',
  cordel: 'Cordel',
  kit: 'Kit',
  ledger: 'Ledger',
  places: 'Places',
  practiceOnlyFiguresMayBeSimulated: 'Practice only: figures may be simulated',
  route: 'Route',
});
