import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/ChangePart.tsx`. */
export const changePart = phrases({
  addedMovedDropped: '{added} added, {moved} moved, {dropped} dropped{retired}.',
  adds: 'Adds',
  andObstaclesMore: 'and {obstacles} more',
  applied: 'Applied.',
  applyChanges: 'Apply: {changes, plural, one {# change} other {# changes}}',
  backToThePlanAsIt: 'Back to the plan as it was',
  beingApplied: 'Being applied …',
  drops: 'Drops',
  ifLightIsOnThemAgree:
    'If light is on them, agree the time with the owner first, as the company’s practice says, and never look into a fiber.',
  inTheWay: 'In the way.',
  leaveThemAsTheyAre: 'Leave them as they are',
  linesToFixFirst: '{lines, plural, one {# line} other {# lines}} to fix first.',
  moves: 'Moves',
  notApplied: 'Not applied.',
  removeSplicesThatMade:
    'Remove {splices, plural, one {# splice} other {# splices}} that {waiting} made',
  removes: 'Removes',
  retiredRemoved: ', {retired} removed',
  saveThePlan: 'Save the plan',
  splicesPlannedOfThemHereAlready:
    '{splices, plural, one {# splice} other {# splices}} planned, {kept} of them here already.',
  splicesToBeRemoved: '{splices, plural, one {# splice} other {# splices}} to be removed',
  suchAsCutOverToCable: 'Such as cut-over to cable D',
  toTraySlot:
    '{cableA} {fiberA} to {cableB} {fiberB}, {tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
  whatIsRecordedOfThemStays:
    'What is recorded of them stays with the closure; their fibers and slots are free for others.',
  whatItChanges: 'Changes',
  decidedBy: 'Decided by',
  whyTheyAreRemoved: 'Why they are removed',
  andRestMore: '; and {rest} more',
});
