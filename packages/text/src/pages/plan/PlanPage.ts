import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/PlanPage.tsx`. */
export const planPage = phrases({
  closeTheLineBuilder: 'Close the line builder',
  howALineReads: 'Plan syntax',
  line: 'Line {line}. ',
  buildALine: 'Build a line',
  notNamedYet: 'Not named yet',
  runs: '{runs, plural, one {# run} other {# runs}}',
  splicePlan: 'Splice plan',
  spliceThemOrSayThroughDead: 'Splice them, or say through, dead or reserve.',
  ribbonsAreFusedByMassUnless:
    'Ribbons are fused by mass unless the line says single; # begins a remark. Of an express cable F.in is the feed side, F.out the exit side.',
});
