import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/SameNamesPart.tsx`. */
export const sameNamesPart = phrases({
  allAreAnswered: 'All are answered.',
  allAreTheSame: 'All {questions} are the same',
  andQuestionsMore: 'and {questions} more',
  itIsMeant: 'It is {meant}',
  namesToAnswerBeforeAnythingIs:
    '{names, plural, one {# name} other {# names}} to answer before anything is imported.',
  theOfTheListAnd: 'The {noun} “{written}” of the list and “{meant}”',
  theSameName: 'The same name?',
  writtenIsAnother: '{written} is another',
});
