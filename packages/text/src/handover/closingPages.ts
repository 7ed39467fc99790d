import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/closingPages.ts`. */
export const closingPages = phrases({
  atOneTemperatureItByGive: 'At one temperature it {rate} by {leakRate}, give or take {sigma}.',
  backAt: 'Back at',
  beforeSafetyStep: 'done before a safety step: {why}',
  cable: 'Cable',
  cablePrep: 'Cable prep',
  step: 'Step',
  writtenDown: 'Written down',
  beforeTheCover: 'Before the cover',
  byAt: 'By, at',
  circuit: 'Circuit',
  cutOver: 'Cut-over',
  downAt: 'Down at',
  found: 'Found',
  fromTheRecord: 'from the record',
  minutesMin: '{minutes} min',
  noBubblesBubblesNotChecked: 'No bubbles: {clear}. Bubbles: {bubbles}. Not checked: {unchecked}.',
  notReleasedYet: 'Not released yet.',
  planned: 'Planned',
  plannedMin: '{planned} min',
  point: 'Point',
  pressureTest: 'Pressure test',
  pressureTestOfBeforeItWas: 'Pressure test of {day}, before it was opened again',
  readingsOfTheGaugeTheLast:
    '{readings, plural, one {# reading} other {# readings}} of the gauge, {origin}, the last {heldMinutes} min after it was pressurized.',
  readingsSimulated: ', readings simulated',
  releasedBeforeBeforeMomentBy: 'Released before {before}, {moment}, {by}.',
  repairedAtPlaceWhatBy: 'Repaired at {place}: {what} ({by})',
  signatures: 'Signatures',
  signedOnBeforeItWasOpened: 'Signed on {day}, before it was opened again',
  sleevesFirstBreakPlannedForBy:
    '{sleeves, plural, one {# sleeve} other {# sleeves}}, first break planned for {moment}, by {by}.',
  testIndexOriginStateMomentBy:
    'Test {index}{origin}: {state}. {moment}, {by}; {target}, limit {limit}. {roundReason}',
  visits: 'Visits',
  wasDown: 'Was down',
  whatWasSignedStandsInSigned:
    'What was signed stands in signed/: the SHA-256 of the file is what the signature names ({records, plural, one {# record} other {# records}}).',
});
