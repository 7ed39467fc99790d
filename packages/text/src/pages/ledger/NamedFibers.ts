import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/NamedFibers.tsx`. */
export const namedFibers = phrases({
  colors: 'Colors',
});
