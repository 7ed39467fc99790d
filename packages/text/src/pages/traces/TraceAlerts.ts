import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/TraceAlerts.tsx`. */
export const traceAlerts = phrases({
  redoBeforeClosing: 'Traces: resplice before the tray is closed.',
  lookAt: 'Traces: look at this.',
  takeInHand: 'Take it in hand',
  more: '{more, plural, one {# more splice} other {# more splices}} by what traces show.',
  seeTheTraces: 'Show traces',
});
