import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/RoundPart.tsx`. */
export const roundPart = phrases({
  bubbles: 'Bubbles',
  failed: 'Failed.',
  gauge: 'gauge {gauge}',
  gaugeUnit: 'Gauge, {unit}',
  inWhereNoUnitIsTyped: 'In {temperatureUnit} where no unit is typed',
  isFarFromBeforeItThe:
    '{gauge} is far from {last} before it: the gauge may show {meant}. Type the unit behind the figure, such as {shown} {unit}.',
  isNoReadingOfThisTest: '{gauge} is no reading of this test: check the unit.',
  itShowsZeroReleasedBefore: 'It shows zero: released before {before}',
  saveThisReading: 'Save this reading',
  leakCauseReleaseFirstLeakRemedy: '{leakCause} Release first. {leakRemedy}',
  limit: 'limit {limit}',
  check: 'Check:',
  noBubbles: 'No bubbles',
  noBubblesAnywhereAllPlacesChecked: 'No bubbles anywhere: all places checked',
  noBubblesAtTheOthers: 'No bubbles at the {unchecked} others',
  noGaugeAtHandSimulateOne: 'No gauge at hand: simulate one',
  notChecked: 'Not checked',
  notRun: 'Not run.',
  ofPlacesCheckedChooseAPlace:
    '{checked} of {places} places checked. Choose a place, then say what you see.',
  openTheValveSlowlyAwayFrom:
    'Open the valve slowly, away from your face, until the gauge shows zero.',
  overTheLimit: 'Over the limit.',
  passedSimulated: 'Passed, simulated.',
  pressureIsOn: 'Pressure is on.',
  pressureReleasedBefore: 'pressure released before {before}',
  readingsOrigin: '{readings, plural, one {# reading} other {# readings}}, {origin}',
  releaseItBeforeOpeningRepairingOr:
    '{roundReason} Release it before opening, repairing or leaving.',
  releaseThePressure: 'Release the pressure',
  runTheSimulatedGaugeOnBy: 'Run the simulated gauge on by 3 minutes',
  seenAtPlace: 'Seen at {place}',
  soapyWaterOnEveryPortAnd: 'Soapy water on every port and seam',
  surfaceTemperature: 'Surface temperature',
  theSimulatedClosure: 'The simulated closure',
  fromToATightClosureWould:
    'From {before} to {after} a tight closure would go from {gaugeBefore} to {gaugeTight} once its air has followed; the gauge shows {gaugeShown}.',
});
