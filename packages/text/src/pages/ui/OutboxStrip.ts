import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/OutboxStrip.tsx`. */
export const outboxStrip = phrases({
  allIsSent: 'All is sent.',
  asideSetAside: '{aside} set aside',
  clockCorrected:
    'The clock of this device is wrong. What it records gets the server’s time, and what its clock said is kept beside it. Set the clock of the device.',
  clockFast: 'the clock of this device is {by} fast',
  clockSlow: 'the clock of this device is {by} slow',
  keptUntilSignIn: 'kept here until they sign in: {people}',
  keptForANewerVersionOf: '{unknown} kept for a newer version of this page',
  noConnectionKeptHereToSend: 'no connection, {waiting} kept here to send',
  notSafeNoRoomOnThis: '{unsafe} not safe: no room on this device',
  outbox: 'Outbox',
  outboxState: 'Outbox: {state}',
  refusedNotAccepted: '{refused} not accepted',
  show: 'Show',
  theServerHasTroubleKeptHere: 'the server has trouble, {waiting} kept here to send',
  theServersDiskIsFullKept: 'the server’s disk is full, {waiting} kept here to send',
  tryNow: 'Try now',
  waitingBeingSent: '{waiting} being sent',
});
