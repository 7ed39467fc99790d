import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/PageBoundary.tsx`. */
export const pageBoundary = phrases({
  build: 'Cordel {build}',
  itWasNotOpenedOnThis:
    'It was not opened on this device before, and the server does not give it now: there is no connection, or a newer version took its place.',
  notLoaded: 'Not loaded.',
  reload: 'Reload page',
  sendReport: 'Send report',
  somethingWentWrong: 'Something went wrong.',
  thisPageCannotBeShown: 'This page cannot be shown',
  thisPageIsNotHereYet: 'This page is not here yet',
  whatYouRecordedIsKeptThe: 'What you recorded is kept. The other pages go on.',
});
