import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/FindingsPage.tsx`. */
export const findingsPage = phrases({
  filesInDoubt: 'its files are in doubt: fix them first',
  shotBeforeSplice: 'it was shot before the splice was made, by the clock of the OTDR',
  lossTooLarge: 'a loss over 10 dB is no splice',
  badToRepair: '{bad} to repair',
  beingSaved: 'Being saved …',
  distancesAreSheathTwoDeviations:
    'Distances are sheath, ± two deviations. Before cutting into a cable make sure which it is and that it is dark, by your company’s practice.',
  figuresFromTheseTraces: '{figures, plural, one {# figure} other {# figures}} from these traces.',
  figuresFromTraces: '{fresh} figures from traces',
  figuresHeldBack: '{figures, plural, one {# figure} other {# figures}} held back: {why}.',
  figuresOfSplicesOneADirection:
    '{figures, plural, one {# figure} other {# figures}} of splices {fresh}: one a direction and wavelength. Both directions make the two-way average that decides.',
  findingsComeFromOtdrTracesOf:
    'Findings come from OTDR traces of both ends. The simulated OTDR shoots them without a device.',
  goodToKnow: 'Good to know',
  inTheLedger: 'In the Ledger.',
  lengthsThatAreWrittenWrongly: 'Recorded lengths that do not match',
  seeCircuits: 'See {circuits}',
  noTracesYet: 'No traces yet',
  nothingToRepair: 'nothing to repair',
  problemsOfTheTraces: 'Problems of the traces',
  ofCircuits: ' of {circuits, plural, one {# circuit} other {# circuits}} · ',
  oneOfThem: 'one of them',
  saveFiguresInTheLedger: 'Save {figures, plural, one {# figure} other {# figures}} in the Ledger',
  theClosure: 'The closure',
  theTraces: 'the traces',
  toRepair: 'To repair',
  tracesThatBelongNowhereYet:
    ' · {traces, plural, one {# trace} other {# traces}} that belong nowhere yet',
});
