import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/shift/ShiftAnswer.tsx`. */
export const shiftAnswer = phrases({
  aFlippedRibbonPutsTwelveCircuits:
    'A flipped ribbon puts twelve circuits wrong, and every splice reads well: count the colors twice.',
  applicatorPads: 'Applicator pads',
  fromSimulationRunsHandsVarySplices:
    'From {runs} simulation runs: hands vary, splices are redone, heaters and splicers overlap.',
  gainsNothing: 'gains nothing',
  handsAreTheBottleneck: 'Hands are the bottleneck',
  lastSafeMomentToBegin: 'Last safe moment to begin {shiftUnit}: {last}.',
  leastToMostDb: '{least} to {most} dB',
  redone: 'Redone',
  hoursMinutes: '{hours} h {minutes} min',
  minutesMinSooner: '{minutes} min sooner',
  n12AtOnce: '{redo} %, 12 at once',
  oneByOne: 'One by one',
  oneByOneOrRibbonized: 'One by one or ribbonized',
  oneMoreWhatMinutes: 'One more {what}: {minutes}.',
  placesAtTheClosureAreThe: 'Places at the closure are the bottleneck',
  readyEndsAreTheBottleneck: 'Ready ends are the bottleneck',
  ribbonized: 'Ribbonized',
  ribbonizingTheLooseTubesDoesNot: 'Ribbonizing the loose tubes does not pay here.',
  ribbonizingTheLooseTubesPaysSooner: 'Ribbonizing the loose tubes pays: {hours} sooner.',
  sleevesRibbon: '{sleeves} ribbon',
  sleevesSingle: '{sleeves} single',
  takenOfTheTime: '{pool}: taken {percent} % of the time.',
  theHeaterIsTheBottleneck: 'The heater is the bottleneck',
  theSplicerIsTheBottleneck: 'The splicer is the bottleneck',
  time: 'Time',
  toFinishWithinTheWindowTo: '{share} % to finish within the window, to {window}.',
  tooLateToBeginAndBe: 'Too late to begin {shiftUnit} and be done with nine in ten.',
  usualLossAFiber: 'Usual loss a fiber',
  withinTheWindow: 'Within the window',
  likelyFinishEightInTenBetween: 'Likely finish; eight in ten between {p10} and {p90}.',
});
