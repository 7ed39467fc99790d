import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/TestPart.tsx`. */
export const testPart = phrases({
  pressurizedStartTheClock: 'Pressurized: start the clock',
  airPressureMeasureProblem: 'Air pressure: {measureProblem}',
  anAltitudeOrAPressure: 'An altitude or a pressure: {airHint}',
  anotherRound: 'Another round',
  atMostByTheSheet: 'At most, by the sheet of the hardware',
  atMostForAnySheet:
    'The pressure of the sheet is over 0 and at most {most} here: a profile of the hardware holds another.',
  atMostName: 'at most: {name}',
  barometricPressure: 'Barometric pressure',
  cannotBeTestedTheReasonStands: 'Cannot be tested? The reason stands in the record.',
  chooseItUnderOpenTheCables:
    'Choose it under Open the cables: its sheet gives the limit of the test.',
  gaugeNowMeasureProblem: 'Gauge now: {measureProblem}',
  gaugeNowThereIsNoPressure: 'Gauge now: there is no pressure on yet.',
  gaugeNowUnit: 'Gauge now, {unit}',
  isNotTestedWithAirIts: '{name} is not tested with air: its sheet gives no pressure.',
  gaugeResolution: 'Gauge resolution',
  pressurizeSlowlyStandBesideThe:
    'Pressurize slowly. Stand beside the closure, not before its cover.',
  noHardwareYet: 'No hardware yet.',
  noPressureTest: 'No pressure test.',
  notStarted: 'Not started.',
  onceItIsPressurizedAndThe: 'Once it is pressurized and the valve is shut',
  passedWithSimulatedReadings: 'Passed, with simulated readings.',
  pressureTestWaived: 'pressure test waived',
  pressureTestWith: 'pressure test with {target}',
  pressurize: 'Pressurize',
  releaseThePressureBeforeOpening:
    'Release the pressure before opening, repairing or leaving. Follow local codes and your company’s practice.',
  suchAsOutOfTheSun: 'Such as {temperature}, out of the sun',
  suchAsUsualStepUnit: 'Such as {usualStep} {unit}',
  surfaceTemperatureOfTheClosure: 'Surface temperature of the closure',
  testItOnceMore: 'Test it once more',
  theGaugeShows: 'The gauge shows',
  theReasonStandsInTheList: 'The reason stands in the list.',
  theResolutionOfTheGaugeSuch: 'The resolution of the gauge: such as {usualStep} {unit}.',
  thisHardware: 'This hardware',
  typeTheFigureOfTheSheet:
    'Type the highest pressure that the sheet of the hardware gives. Without a figure it is not tested.',
  usualAre: 'Usual are {least} and {most}. The figure of the sheet counts.',
  waiveTheTest: 'Waive the test',
  waived: 'Waived.',
  whatIsSignedStaysAsIt:
    'What is signed stays as it is: open the closure again under Visits to test it anew.',
  whyIsThereNoTest: 'Why is there no test?',
  regulatedAirOnlySetAtOr:
    'Regulated air only, set at or below the limit before the hose goes on; never a bottle or a tire line by itself.',
});
