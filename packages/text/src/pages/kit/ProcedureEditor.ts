import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/ProcedureEditor.tsx`. */
export const procedureEditor = phrases({
  aCable: 'a cable',
  aLeg: 'on each leg of an express cable',
  addAKnownStep: 'Add a step from the list',
  addAStepOfYourOwn: 'Add a step of your own',
  closing: 'Closing, {steps, plural, one {# step} other {# steps}}',
  doneOnce: 'Done once',
  moveAStepByItsHandle: 'Move a step by its handle; tap it to change it.',
  opening: 'Opening, {steps, plural, one {# step} other {# steps}}',
  ownStep: 'A step of your own',
  partOfTheList: 'Part of the list',
  steps: 'Steps',
});
