import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/OutboxStrip.tsx`. */
export const outboxStrip = phrases({
  allIsSent: 'All is sent.',
  asideSetAside: '{aside} set aside',
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
