import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/CutOverPart.tsx`. */
export const cutOverPart = phrases({
  aGoodOrder: 'A good order.',
  by: 'By',
  byNumber11217: 'By number: 1-12, 17',
  circuitsInServiceALineEach: 'Circuits in service, a line each',
  clinic12DairyX35: 'clinic: 1-2\ndairy x3: 5, 6',
  cutOverOfLiveFibers: 'Cut-over of live fibers',
  everythingThatCanBeMadeBefore:
    'Everything that can be made before is made before: new cable open, in its tray, cleaved. A circuit is down from its first break until its last sleeve.',
  fibersToCutOver: 'Fibers to cut over',
  firstBreakAt: 'First break at',
  firstBreakAtWriteATime: 'First break at: write a time, such as 22:00.',
  saveThisOrderWithTheRecord: 'Save this order with the record',
  minutesASleeve: 'Minutes a sleeve',
  minutesASleeveANumberUp: 'Minutes a sleeve: a number up to 240.',
  neverLookIntoALiveFiber:
    'Never look into a live fiber: its light is invisible. Tell the owner before each break, as the company’s practice says.',
  orderOfACutOver: 'order of a cut-over',
  sayWhichFibersAreCutOver: 'Say which fibers are cut over.',
  singleOrRibbon: 'single or ribbon',
  suchAs2200: 'Such as 22:00',
  theLeastTimeDown: 'The least time down.',
  withSoManyThatHangTogether:
    ' With so many that hang together it is not proven that none is better.',
  minFromTheFirstBreakLongest:
    '{sleeves, plural, one {# sleeve} other {# sleeves}}, {minutes} min from the first break; longest down {longest} min.{best}',
});
