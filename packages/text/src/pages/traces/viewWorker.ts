import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/view/view.worker.ts`. */
export const viewWorker = phrases({
  theServerAnswered: 'The server answered {status}.',
});
