import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/tracePages.ts`. */
export const tracePages = phrases({
  traces: 'Traces',
});
