import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/view/ClosureTable.tsx`. */
export const closureTable = phrases({
  abBaDb: 'AB {ab}  BA {ba} dB',
  closerToName: 'Closer to {name}',
  largerToSmaller: 'larger to smaller',
  meanLossSigma: 'mean {loss} ± {sigma} dB',
  modeFieldMismatch: 'mode-field mismatch ({loss}), {percent} %',
  noMeanADirectionIsMissing: 'no mean: a direction is missing',
  smallerToLarger: 'smaller to larger',
});
