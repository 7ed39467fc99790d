import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/closingColumns.ts`. */
export const closingColumns = phrases({
  beforeBefore: 'before {before}',
  gaugeKpa: 'gauge kPa',
  minuteOfTheSimulatedClock: 'minute {minute} of the simulated clock',
  sleevesFirstBreak:
    '{sleeves, plural, one {# sleeve} other {# sleeves}}, first break {utc}: {circuits}',
  signedByTyping: 'signed by typing',
  slotSlots: ', slot {slots}',
  targetLimitLimit: '{target}, limit {limit}',
});
