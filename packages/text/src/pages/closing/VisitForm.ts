import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/VisitForm.tsx`. */
export const visitForm = phrases({
  aNewVisitBeginsTheList: 'A new visit begins the list and the test anew.',
  airMeasureProblem: 'Air: {measureProblem}',
  airPressureOrAltitude: 'Air pressure or altitude',
  beginTheVisit: 'Begin the visit',
  darkHereAtTheFiber:
    'Dark, proven here at the fiber, before anything of it is cut: detector, number read twice, the owner’s release.',
  dryDrizzleWind: 'dry, drizzle, wind',
  firstClosing: 'first closing',
  iAmHereBeginTheVisit: 'I am here: begin the visit',
  instruments: 'Instruments',
  instrumentsThatAreHere: 'Instruments that are here',
  namesWithCommas: 'Names, with commas',
  newDrop: 'new drop',
  notBegun: 'Not begun.',
  openTheClosureAgain: 'Open the closure again',
  otdrGaugePowerMeterWithCommas: 'OTDR, gauge, power meter, with commas',
  others: 'Others',
  proveItDarkFirst:
    'Write down what the detector showed and who released it, and read the number twice.',
  sayWhoIsHere: 'Say who is here.',
  sayWhyTheClosureIsOpened: 'Say why the closure is opened again.',
  weather: 'Weather',
  suchAsTemperature: 'Such as {temperature}',
  temperatureMeasureProblem: 'Temperature: {measureProblem}',
  visitPurposeWords: 'visit, {purposeWords}',
  whatFor: 'What for',
  whatWasSignedStaysAsIt: 'What was signed stays as it was signed; what changes shows against it.',
  whoIsHere: 'Who is here',
});
