import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/takeAlong`. */
export const takeAlongPage = phrases({
  takeAlong: 'Take along',
  takeAlongSays: 'for work without signal',
  says: 'Puts this project on the device, so that all work at the closures goes on without signal: the app starts, shows, records, and sends once there is signal.',
  check: 'Check.',
  plainHttp:
    'This page came over plain http, so the browser keeps no app: without signal it does not start anew. What is open goes on. Whoever runs the server sets up https.',
  notSupported:
    'This browser keeps no app, a private window perhaps: without signal it does not start anew. What is open goes on.',
  notTaken: 'Not taken.',
  takenAt: 'On this device as of {moment}.',
  neverWhole: 'Not read whole yet.',
  size: '{megabytes} MB, {closures, plural, =-1 {all closures} one {# closure} other {# closures}}. It is renewed by itself while there is signal.',
  missing: 'Missing:',
  someRows: 'Of the Ledger’s lists, {rows} rows of {total}; each closure has all of its own.',
  kept: 'The browser has promised to keep it.',
  mayGo:
    'The browser may let it go when the device runs full. Installed on the home screen it is kept.',
  what: 'What to take',
  allClosures: 'All {closures} closures',
  someClosures: 'Some closures',
  withTraces: 'With traces and findings',
  progress: '{done} of {total} closures',
  stop: 'Stop',
  takeIt: 'Take it along',
  again: 'Read it anew',
  leave: 'Stop renewing it',
  worksTitle: 'Without signal',
  works:
    'These work: Route, plans, opening, Bench, practice, shift, closing, photos, signatures, Kit. What is recorded is sent by itself later.',
  worksNot:
    'These need the server: searches in the Ledger, circuits and budgets, packages, label sheets as PDF, imports of projects, invitations. A signature is checked against the record when it arrives: where others changed it meanwhile, it is refused with what changed, and kept here.',
});
