import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/OutboxItem.tsx`. */
export const outboxItem = phrases({
  dropIt: 'Drop it',
  dropItForGood: 'Drop it for good',
  hideWhatItHolds: 'Hide what it holds',
  madeByANewerVersionOf:
    'Made by a newer version of this page: it is kept here, and sent once this page is up to date.',
  notAcceptedProblem: 'Not accepted: {problem}',
  notSafeYetThisDeviceHas:
    'Not safe yet: this device has no room to store it. Keep the page open until it is sent.',
  saveACopy: 'Save a copy',
  sendAgain: 'Send again',
  sentKbOfKb: '{sent} of {size} kB sent.',
  setAsideAfterAttempts: 'Set aside after {failures} attempts: {problem}',
  waitsToBeSent: 'Waits to be sent.',
  whatItHolds: 'What it holds',
});
