import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/ListPart.tsx`. */
export const listPart = phrases({
  afterTheTest: 'After the test',
  allOfAreGood: '{group}: all good',
  allOfThisGroupIsGood: 'I looked: all {points} of this group are good',
  cover: 'Cover',
  beforeTheCover: 'Before the cover.',
  boltsInThisOrder: 'Bolts, in this order',
  countOfPoints: '{count} of {points}',
  ports: 'Ports',
  sealingFaces: 'Sealing faces',
  shardsCutEyesSkinFoodThey:
    'Shards cut: eyes, skin, food; they go into a closed container. Where the law or the company asks for a qualified person, that person does it.',
  traysAndTubes: 'Trays and tubes',
  whatThePlanSaysAndWhat: 'Plan and as-built',
});
