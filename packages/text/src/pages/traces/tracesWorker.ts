import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/bringIn/traces.worker.ts`. */
export const tracesWorker = phrases({
  theServerHasTrouble: 'The server has trouble ({status}).',
  refusedStatus: 'Refused ({status}).',
  theServerDoesNotAnswer: 'The server does not answer.',
});
