import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/feedback.ts`. */
export const feedback = phrases({
  attemptUsedOfMost: 'Attempt {used} of {most}.',
  fiberAOverLine: 'Fiber {fiberA} over {line}.',
  insertionLoss: 'insertion loss',
  keepItTheLeadAcceptsIt: '{where} {tries} Keep it: the lead accepts it or sends it to redo.',
  lastAttempt: 'Last attempt.',
  needsTheLead: 'Needs the lead.',
  noLimitForEstimates: 'No limit for estimates.',
  notOverLine: 'Not over {line}.',
  ofAttemptsAreLeft: '{where} {left} of {most} attempts are left.',
  oneAttemptOfIsLeft: '{where} One attempt of {most} is left.',
  overLine: 'Over {line}.',
  redo: 'Redo.',
  sayWhatYouSawOfTheEnd:
    'Make the end, then say what you saw of it; type its loss where a meter read it.',
  sleeveOnFirstSpliceThenType: 'Sleeve on first. Splice, then type the splicer’s estimate.',
  sleeveOnFirstThenTypeThe: '{nextTry} Sleeve on first, then type the estimate.',
  stillMissingAtNm: 'Still missing: {grade} at {missing} nm.',
  testStillToCome: ' {capital} test still to come.',
  theDbRedoLine: 'the {limit} dB redo line',
  twoWayAverage: 'two-way average',
  typeTheFigureAtNm: 'Type the {kinds} figure at {wavelengthNm} nm.',
  withinTheLimit: 'Within the limit.',
});
