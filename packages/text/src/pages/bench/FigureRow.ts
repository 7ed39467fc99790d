import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/FigureRow.tsx`. */
export const figureRow = phrases({
  checkSleeve: 'Check it before the heater. Without a sleeve the splice must be broken.',
  dbAtNm: 'dB at {nm} nm',
  dbByMeter: 'dB by meter, {nm} nm',
  dbEstimate: 'dB estimate',
  keep: 'Keep.',
  lastAttempt: 'Redo, last attempt.',
  lead: 'Lead decides.',
  lossTyped: 'Loss typed',
  missing: 'Missing.',
  recordComes: '{again}Sleeve on first. Splice: the record appears here.',
  redo: 'Redo.',
  sleeveOn: 'Sleeve on?',
  tensionFailed: 'The tension test failed. Break the splice and make it again.',
  why: 'Reasons',
  worst: 'worst: {name}',
});
