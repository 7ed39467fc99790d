import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/practice/JointDrill.tsx`. */
export const jointDrill = phrases({
  anotherRound: 'Another round',
  estimateEstimatesDb: 'Estimate: {estimates} dB',
  startTheSplice: 'Start the splice',
  itShowsBeforeTheArc: 'It shows {error} before the arc.',
  splicePlaceOfAll: 'Splice {place} of {all}',
  splicePlaceFault: 'Splice {place}: {fault}.',
  lastEstimatesDb: 'Last estimates: {recent} dB.',
  left: 'Left',
  missed: 'Missed.',
  nextSplice: 'Next splice',
  ofSplicesRightASwapOr:
    '{right} of {answers} splices right. A swap or a flip weighs double: no screen shows it.',
  programFiberWorstCleave: 'Program: {program}. Fiber: {glass}. Worst cleave {degrees}°.',
  right: 'Right',
  scoreOf100: '{score} of 100',
  sleeveInItsBox: 'Sleeve: in its box.',
  sleeveOnTheLeftFiber: 'Sleeve: on the left fiber.',
  thePlanFiberOnto: 'The plan: fiber {left} {leftColour} onto {right} {rightColour}.',
  thePlanRibbon1OntoRibbon: 'The plan: ribbon 1 onto ribbon 1, fiber 1 onto fiber 1.',
  theSplicerStopped: 'The splicer stopped.',
  youChoseActionFault: 'You chose “{action}”. {fault}',
});
