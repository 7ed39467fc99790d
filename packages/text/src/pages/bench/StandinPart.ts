import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/StandinPart.tsx`. */
export const standinPart = phrases({
  faultOfTheSimulatedSplicer: 'Fault of the simulated splicer',
  notStarted: 'Not started.',
  startTheSplice: 'Start the splice',
  simulatedSplicer: 'Simulated splicer',
});
