import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/record.ts`. */
export const record = phrases({
  asBuiltRecordSplicesVerdict:
    'As-built record. {splices, plural, one {# splice} other {# splices}}: {states}. Verdict: {groupVerdict}.',
  at: 'At',
  checkpoint:
    'The whole project’s record has {entries, plural, one {# entry} other {# entries}} in its chain. The server signed it on {moment}: hash {hash}, key {key}. The code holds the signature; verify.mjs in the package of the project checks it.',
  closed: 'Closed',
  closedTestedAndSigned: 'Closed, tested and signed.',
  closure: 'Closure',
  deadDead: ', {dead} dead',
  decidedByPeople: 'Decided by people',
  done: 'Done',
  doneOfDue: '{done} of {due}',
  doneOfDueMeanGroupVerdict: '{done} of {due}{mean}, {groupVerdict}',
  endToEnd: '{a} to {b}',
  judgedByFiguresAtNmA:
    'Judged by {name} ({source}): {grade} figures at {wavelengths} nm; a splice at most {single} single, {ribbon} ribbon; a mean at most {fiber} for a fiber, {tray} for a tray, {closure} for a closure.',
  knownBy: 'Known by',
  layIn: 'Lay in',
  meanDb: 'Mean dB, rounded up',
  meanMeanDb: ', mean {mean} dB',
  notSigned: 'Not signed.',
  ofSplicesMadeOnTrays:
    '{done} of {splices, plural, one {# splice} other {# splices}} made{dead}, on {trays, plural, one {# tray} other {# trays}}.',
  placeRulingTitlesByByMoment:
    '{place}{fibers, plural, =1 {} other {, # fibers}}: {rulingTitles}, by {by}, {moment}: {why}',
  pointWaivedByByMomentWhy: '{point}: waived by {by}, {moment}: {why}',
  removed: 'Removed',
  simulated: ', simulated',
  splice: 'Splice',
  trayNumber: '{tray, plural, =0 {At their ports} other {Tray {tray}}}',
  traySlot: '{tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
  attemptNumber: ', attempt {attempt}',
  verdict: 'Verdict',
  verdictGroupVerdictGrade: 'Verdict: {groupVerdict}{grade}.',
  was: 'Was',
  worstDb: 'Worst dB',
});
