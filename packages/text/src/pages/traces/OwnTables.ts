import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/view/OwnTables.tsx`. */
export const ownTables = phrases({
  difference: 'Difference',
  differs:
    '{kind, select, loss {{by} dB} place {{apart} apart} onlyFound {not in the instrument’s table} onlyInstrument {not in the samples} untold {noise hides it: the instrument’s word} other {agree}}',
  end: 'end',
  largestFirst: 'The largest difference stands first.',
  lossEnd: '{loss} dB{end, select, yes {, end} other {}}',
  lossSigma:
    '{loss} ± {sigma} dB{kind, select, reflection {, reflects} splitter {, splitter or as much} echo {, echo} other {}}{saturated, select, yes {, receiver saturated} other {}}',
  noiseOf:
    'Noise of a sample {noise} dB{shared, plural, =1 {} other {; # samples know as much as one: the receiver is slow or the instrument smooths}}{step, select, none {} other {; levels in steps of {step} dB}}.',
  nothing: 'nothing',
});
