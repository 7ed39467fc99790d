import type { ArcReason } from '@cordel/core';
import { catalog } from '../catalog.ts';

const SINCE =
  '{rise, select, up {+} other {\u2212}}{change} since the last good check; {much} is much.';
const SINCE_PERCENT =
  '{rise, select, up {+} other {\u2212}}{change} % since the last good check; {much} % is much.';

/** Why the arc is to be checked, or is not. */
export const arcReasonText = catalog<ArcReason>()({
  roundFailed: 'Round {round} did not pass: run it again.',
  noGoodCheck: 'No good check of this splicer is known.',
  newSession: 'A new session: this project checks the arc at the start of each.',
  electrodes: 'Electrodes were {what} since the last good check.',
  streak: '{splices} failed or high splices in a row.',
  arcsCounted:
    '{arcs, plural, one {# arc} other {# arcs}} on {glassUm} um fiber since the last good check; {most} is the count.',
  arcsLeft: 'Arc check in {arcs, plural, one {# arc} other {# arcs}}.',
  checkHolds: 'The last good check holds: {arcs, plural, one {# arc} other {# arcs}} left.',
  idle: 'Not used for {days, plural, one {# day} other {# days}}.',
  temperature: `Temperature ${SINCE}` as string,
  pressure: `Air pressure ${SINCE}` as string,
  humidity: `Humidity ${SINCE_PERCENT}` as string,
});
