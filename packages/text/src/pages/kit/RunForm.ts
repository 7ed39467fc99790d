import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/RunForm.tsx`. */
export const runForm = phrases({
  aRackATerminalAHouse: 'A rack, a terminal, a house',
  byItsSheath: 'By the marks on its sheath',
  cableCoiledUpThere: 'Cable coiled up there',
  distanceOfThatEnd: 'Distance of that end',
  fiberInALengthOfSheath: 'Fiber in a length of sheath',
  itsOuterEndIsAt: 'Its outer end is at',
  lengthOnItsReel: 'Length on its reel',
  n10050IsHalfAPercent: '1.0050 is half a percent more',
  numberOfItsReel: 'Number of its reel',
  sheathMarkAt: 'Sheath mark at {name}',
  sheathMarkAtThatEnd: 'Sheath mark at that end',
  soThatMetersOfFiberOn:
    'So that meters of fiber on a trace can be told as meters of sheath. Marks are those printed on the sheath where it enters; they may run up or down.',
});
