import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/PadCounter.tsx`. */
export const padCounter = phrases({
  newPads: 'New pads in',
  pads: 'Pads',
  ribbonPressed: 'Ribbon pressed',
});
