import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/conflicts`. */
export const conflictsPage = phrases({
  title: 'Done twice',
  says: 'by two people at the same time',
  explained:
    'Two people did the same before either could know of the other: without signal, say. Both entries stay; here it is decided which counts.',
  none: 'Nothing was done twice.',
  openServer:
    'On a server without accounts it is not known when entries came: of two attempts at one splice nothing is told here.',
  splice: '{closure}: {splice}',
  spliceBoth: 'Both recorded an attempt at this splice.',
  point: '{closure}: a point of the closing list',
  pointBoth:
    'One passed it and one failed it. Look again and say so in the list: the last word counts.',
  sign: '{closure}: signatures',
  signBoth: 'Both signed as {role}. Both signatures stay; nothing is to be decided.',
  sideAttempt: '{by}, {moment}: {loss}',
  sidePoint: '{by}, {moment}: {verdict, select, good {passed} bad {failed} other {waived}}',
  sideSign: '{by}, {moment}',
  noLoss: 'no estimate',
  keep: 'Keep what {by} made',
  kept: 'Kept what {by} made: both were made at the same time.',
  toList: 'Go to the list',
  leadDecides: 'A lead decides.',
  plan: '{closure}: {splice}',
  planBoth: 'The plan was changed, and somebody who did not know of it made this splice.',
  sidePlan: '{by, select, none {The plan} other {{by}}}, {moment}: took it out of the plan',
  sideMade: '{by}, {moment}: made it ({loss})',
  sideEntry: '{by}, {moment}: recorded something of it',
  keepSplice: 'Put it back in the plan',
  keepPlan: 'It is removed',
  keptSplice: 'Put back: it was made before the change of the plan was known.',
  keptPlan: 'Removed: the plan was changed.',
  clocks: 'Clocks that were wrong',
  fromTo: '{from} to {to}',
  clocksSay:
    'What these devices recorded has the server’s time. What their clocks said is kept beside it.',
  clockSlow: '{by}, {when}: {entries, plural, one {# entry} other {# entries}}, clock {off} slow',
  clockFast: '{by}, {when}: {entries, plural, one {# entry} other {# entries}}, clock {off} fast',
});
