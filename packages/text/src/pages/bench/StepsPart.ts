import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/StepsPart.tsx`. */
export const stepsPart = phrases({
  doneNextStep: 'Done, next step',
  hideTheSteps: 'Hide the steps',
  saveTheSpliceFirstItsHeater: 'Save the splice first: its heater timer is offered below.',
  showTheSteps: 'Show the steps',
  startClock: 'Start {clock}',
  stepBack: 'Step back',
  stepInHand: 'Step in hand',
  wayStepAtOfSteps: '{way}: step {at} of {steps}',
});
