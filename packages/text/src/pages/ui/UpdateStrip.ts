import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/UpdateStrip.tsx`. */
export const updateStrip = phrases({
  newerIsHere: 'A newer Cordel is here.',
  halfTyped: 'What is half-typed on this page is lost then.',
  load: 'Load it',
});
