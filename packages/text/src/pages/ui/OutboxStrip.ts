import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/OutboxStrip.tsx`. */
export const outboxStrip = phrases({
  notAllowed: 'Not allowed.',
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
  read: 'I have read it',
  restored: 'the server came back from a backup',
  restoredSays:
    'The server was restored from a backup, which may be older than what was done on this device. {writes, plural, =0 {Nothing recorded here in the last 14 days is missing from the outbox.} one {One write of the last 14 days is sent again from here.} other {# writes of the last 14 days are sent again from here.}} The server takes each once. Look through what was not recorded but set since: plans, hardware, limits and people; import photos and traces of these days again where they are missing.',
  refusedNotAccepted: '{refused} not accepted',
  show: 'Show',
  theServerHasTroubleKeptHere: 'the server has trouble, {waiting} kept here to send',
  theServersDiskIsFullKept: 'the server’s disk is full, {waiting} kept here to send',
  tryNow: 'Try now',
  waitingBeingSent: '{waiting} being sent',
});
