import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/StationStrip.tsx`. */
export const stationStrip = phrases({
  arcArcsLeft: 'Arc: {arcsLeft} left',
  arcDue: 'Arc: due',
  arcInArcsLeft: 'Arc: in {arcsLeft}',
  chartsSteady: 'Charts: steady',
  chartsTooFew: 'Charts: too few',
  chartsTroubleOff: 'Charts: {trouble} off',
  lastRecordAgo: 'last record {ago} ago',
  liveAgo: 'live, {ago} ago',
  minutesMin: '{minutes} min',
  noConnection: 'no connection',
  nothingReceived: 'nothing received',
  setupWarningsMisfit: 'Setup: {warnings} misfit',
  splicerContact: 'Splicer: {contact}',
});
