import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/LineBuilder.tsx`. */
export const lineBuilder = phrases({
  addTheLine: 'Add the line',
  all: 'All',
  beginsThereAtFiber: 'Begins there at fiber',
  byRibbon: 'by ribbon',
  chooseTheCablesAndCountThe: 'Choose the cables and count the fibers.',
  countedBy: 'Counted by',
  dead: 'Dead',
  feedSideByItself: 'feed side, as usual',
  fibers: 'fibers',
  firstFiberThere: 'First fiber there',
  fused: 'Fused',
  buildALine: 'Build a line',
  notYet: 'Not yet.',
  oneByOne: 'one by one',
  onto: 'Onto',
  ribbons: 'Ribbons',
  straight: 'straight',
  to: 'To',
  turnedRoundOnPurpose: 'turned round on purpose',
  what: 'What',
  whichLeg: 'Which leg of the cable',
});
