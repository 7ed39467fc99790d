import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/ImportPage.tsx`. */
export const importPage = phrases({
  andProblemsMore: 'and {problems, plural, one {# problem} other {# problems}} more',
  chooseWhereToFind: 'Choose where to find: {titles}.',
  columns: 'Columns',
  columnsMatchedCheckThem: '{matched} columns matched: check them',
  example: 'Example',
  importSplices: 'Import {splices, plural, one {# splice} other {# splices}}',
  checkPlacesFirst: 'Check {places, plural, one {# place} other {# places}} first.',
  matchedColumnsMatched: '{matched} columns matched',
  methodWhereARowDoesNot: 'Method where a row does not say it',
  nameRows: '{name}: {rows, plural, one {# row} other {# rows}}',
  newCables2: 'New cables',
  nothingIsImportedUntilAllAre:
    'Nothing is imported until all are fixed. Fix the list and choose it again.',
  pasteOrType: 'Paste or type',
  problems: '{problems, plural, one {# problem} other {# problems}}',
  readIt: 'Read it',
  ready: 'Ready.',
  rowColumnValue: 'Row {row}{column}{value}',
  seeTheRoute: 'See the Route',
  setDistancesOfClosures: 'Set distances of closures',
  sheet: 'Sheet',
  single: 'Single',
  spliceList: 'Splice list',
  splicesInClosuresNoProblemFound:
    '{splices, plural, one {# splice} other {# splices}} in {closures, plural, one {# closure} other {# closures}}. No problem found.',
  splicesNewClosuresNewCables:
    '{splices, plural, one {# splice} other {# splices}}, {newClosures, plural, one {# new closure} other {# new closures}}, {newCables, plural, one {# new cable} other {# new cables}}.',
  theseMayBeMeantIfNot: 'These may be meant; if not, fix the list before it is imported.',
  whatEachIsMadeOfProposed:
    'What each is made of. Proposed from the highest fiber in the list: check it.',
  aListCsvOrXlsxWith:
    'A list (CSV or XLSX) with the columns {needed}; {optional} where it has them. Rows above the titles are passed over. Comma, semicolon or tab. Other columns are kept. A fiber is a number (100), a place (9/4) or colours (tube 9 brown).',
  theTitlesAreInRowWhat:
    'The titles are in row {titlesRow}; what stands above them is passed over.',
  allOfItOrNothingA:
    '{busy} All of it or nothing; a long list takes a minute. You can go on: it is sent in the background.',
});
