import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/VisitsPart.tsx`. */
export const visitsPart = phrases({
  enterANewCable: 'Enter a new cable',
  freshNew: '{fresh} new',
  goToTheBench: 'Go to the Bench',
  saveAndLeave: 'Save and leave',
  leavingSayWhatWasDoneMounted: 'Leaving? Say what was done: mounted, labeled, locked.',
  openedAgainOnlyWhatChanges: 'Opened again: only what changes',
  planTheCutOverAnew: 'Plan the cut-over anew',
  planWhatChanges: 'Plan what changes',
  portsToOpen: 'Ports to open: {ports}.',
  pressureIsOnReleaseItFirst: 'Pressure is on: release it first.',
  redoToRedo: '{redo} to redo',
  whatWasDone: 'What was done',
  nothingIsToBeSplicedYet:
    'Nothing is to be spliced yet; {splices, plural, one {# splice} other {# splices}} stay as they are.',
  inTrayStayAsTheyAre:
    '{work} in tray {trays}; {splices, plural, one {# splice} other {# splices}} stay as they are.',
});
