import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/StepLine.tsx`. */
export const stepLine = phrases({
  boot: 'Boot',
  nextStep: 'Next step',
  saveTheSpliceFirstItsHeater: 'Save the splice first. Its heater timer is offered below.',
  sleeve: 'Sleeve',
  startClock: 'Start {clock}',
  stepsOf: 'Steps: {way}',
});
