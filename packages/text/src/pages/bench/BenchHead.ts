import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/BenchHead.tsx`. */
export const benchHead = phrases({
  alerts: '{alerts, plural, one {# alert} other {# alerts}}',
  doneOfTotal: '{done} of {total} spliced',
  measure: 'Measure',
  modeWaiting: '{mode}: {waiting} left',
  more: 'More',
  redo: 'Redo',
  spliced: 'Spliced',
  traySlot: '{tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
});
