import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/PreviewPart.tsx`. */
export const previewPart = phrases({
  andProblemsMore: 'and {problems, plural, one {# problem} other {# problems}} more',
  importSplices: 'Import {splices, plural, one {# splice} other {# splices}}',
  checkPlacesFirst: 'Check {places, plural, one {# place} other {# places}} first.',
  nothingIsImportedUntilAllAre:
    'Nothing is imported until all are fixed. Fix them here, or fix the list and choose it again.',
  problems: '{problems, plural, one {# problem} other {# problems}}',
  ready: 'Ready.',
  splicesInClosuresNoProblemFound:
    '{splices, plural, one {# splice} other {# splices}} in {closures, plural, one {# closure} other {# closures}}. No problem found.',
  theseMayBeMeantIfNot: 'These may be meant; if not, fix the list before it is imported.',
  allOfItOrNothingA:
    '{busy} All of it or nothing; a long list takes a minute. You can go on: it is sent in the background.',
  andPairsMore: 'and {pairs, plural, one {# pair} other {# pairs}} more',
  andRowsMore: 'and {rows, plural, one {# row} other {# rows}} more',
  asItWasRead: 'Pairs as they were read',
  fix: 'Fix',
  fixAt: 'Fix {place}',
  heading: 'heading for the rows below',
  notImported: 'Not imported.',
  note: 'note',
  rowAtPort: 'Row {row} · {closure}, at the port',
  rowColumn: 'Row {row}{column}',
  rowPlace: 'Row {row} · {closure}, tray {tray}, slot {slot}',
  rowsPassedOver: '{rows, plural, one {# row} other {# rows}} passed over',
  showPairs: 'Show {pairs, plural, one {# pair} other {# pairs}}',
  titles: 'titles again',
  total: 'total',
  valueAt: 'Value at {place}',
});
