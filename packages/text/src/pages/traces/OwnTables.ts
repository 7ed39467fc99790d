import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/view/OwnTables.tsx`. */
export const ownTables = phrases({
  end: 'end',
  lossEnd: '{loss} dB{end, select, yes {, end} other {}}',
  lossSigma: '{loss} ± {sigma} dB{reflects, select, yes {, reflects} other {}}',
  nothing: 'nothing',
});
