import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/practice/ColourDrill.tsx`. */
export const colourDrill = phrases({
  nextQuestion: 'Next question',
  notThatOne: 'Not that one.',
  rightOfAskedRight: '{right} of {asked} right.',
  whereIsFiber: 'Where is fiber {fiber}?',
  whichNumberIsIt: 'Which number is it?',
});
