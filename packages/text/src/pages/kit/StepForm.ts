import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/StepForm.tsx`. */
export const stepForm = phrases({
  askForAPhoto: 'Ask for a photo',
  askToBeWrittenDown: 'To be written down when it is ticked, such as a torque or who released it:',
  caution: 'Caution',
  emptyKeepsTheUsualWords: 'Empty keeps the usual words of this step.',
  figuresInBraces: 'A name in braces, such as “strength”, stands for the figure of the profile.',
  less: 'Less',
  noCaution: 'No caution',
  onlyForCablesThatAre: 'Only for cables that are',
  onlyForCablesThatEnterAs: 'Only for cables that enter as',
  ownWords: 'Own words',
  putInAFigure: 'Insert profile value',
  secondsToWait: 'Seconds to wait',
  takeTheStepOut: 'Take the step out',
  unit: 'Unit',
  unitOfNumber: 'Unit of value {number}',
  value: 'Value',
  waitBeforeItIsTicked: 'Wait before it is ticked',
  whatIsAsked: 'What is asked',
  whatIsAskedNumber: 'What is asked, value {number}',
  whatIsToBeDone: 'What is to be done',
  whenCautionTimerPhoto: 'When, caution, timer, photo, values',
});
