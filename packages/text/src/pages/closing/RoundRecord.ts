import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/RoundRecord.tsx`. */
export const roundRecord = phrases({
  estimateReadingsOrigin:
    '{estimate} {readings, plural, one {# reading} other {# readings}}, {origin}.',
  momentByTargetLimit: '{moment} · {by} · {target}, limit {limit}',
  notDecided: 'not decided',
  overTheLimit: 'over the limit',
  readingsSimulated: ', readings simulated',
  releasedBeforeBy: 'Released before {before}, {by}',
  repairedAtPlace: 'Repaired at {place}: ',
  repairedAtPlace2: 'repaired at {place}',
  saveWhatWasRepaired: 'Save what was repaired',
  testNumberHeadsOrigin: 'Test {number}: {heads}{origin}',
  whatWasRepairedAt: 'What was repaired at {place}?',
});
