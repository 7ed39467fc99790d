import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/shift/ShiftPage.tsx`. */
export const shiftPage = phrases({
  anotherClosure: 'Another closure',
  asSet: 'as set',
  asSoonAsSleevesAreDone: 'As soon as sleeves are done here, the plan follows their real pace.',
  breakAfterMin: 'Break after, min',
  breakMin: 'Break, min',
  calendarIcs: 'Calendar (.ics)',
  chooseAnotherClosure: 'Choose another closure.',
  everyPlannedSpliceIsMade: 'Every planned splice is made.',
  percentThanSet: '{percent} % {slower} than set',
  hideTheTimes: 'Hide the times',
  heaters: 'Heaters',
  leftHereFibersInTubesOr:
    'Left here: {fibers, plural, one {# fiber} other {# fibers}} in {tubes, plural, one {# tube} other {# tubes}} or ribbons, {units}.',
  nameOpen: '{name}, {open} open',
  nothingLeftToSplice: 'Nothing left to splice',
  nothingLeftToSpliceHere: 'Nothing left to splice here',
  paceOfThisShiftFromSleeves:
    'Pace of this shift, from {sleeves, plural, one {# sleeve} other {# sleeves}}: {pace}',
  people: 'People',
  places: 'Places',
  planAgain: 'Plan again',
  planAsSet: 'plan as set',
  planByIt: 'plan by it',
  planIt: 'Plan it',
  ribbonsAmongThem: ', ribbons among them',
  sleevesRibbons: '{sleeves, plural, one {# sleeve} other {# sleeves}}{ribbons}',
  splicers: 'Splicers',
  theShiftBeginsNow: 'The shift begins now',
  timesOfEachStep: 'Times of each step',
  simulatingShare: 'Simulating: {share} %',
  windowMin: 'Window, min',
  windowToWhenTheShiftBegins:
    'Window to {clock}. When the shift begins, the Bench minds its end in its advice.',
});
