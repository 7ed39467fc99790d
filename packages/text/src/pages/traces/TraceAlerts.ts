import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/TraceAlerts.tsx`. */
export const traceAlerts = phrases({
  redoBeforeClosing: 'Traces: make again before the tray is closed.',
  lookAt: 'Traces: look at this.',
  takeInHand: 'Take it in hand',
  seeTheTraces: 'See what traces show',
});
