import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/useContact.ts`. */
export const splicerContactTexts = phrases({
  lastRecordAgo: 'Splicer: last record {ago} ago',
  live: 'Splicer: live, {ago} ago',
  minutes: '{minutes} min',
  hours: '{hours} h',
  noConnection: 'Splicer: no connection',
  nothingReceived: 'Splicer: nothing received',
});
