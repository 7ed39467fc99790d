import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/ImportPage.tsx`. */
export const importPage = phrases({
  chooseWhereToFind: 'Choose where to find: {titles}.',
  columns: 'Columns',
  columnsMatchedCheckThem: '{matched} columns matched: check them',
  example: 'Example',
  matchedColumnsMatched: '{matched} columns matched',
  methodWhereARowDoesNot: 'Method where a row does not say it',
  nameRows: '{name}: {rows, plural, one {# row} other {# rows}}',
  newCables2: 'New cables',
  pasteOrType: 'Paste or type',
  readIt: 'Read it',
  seeTheRoute: 'See the Route',
  setDistancesOfClosures: 'Set distances of closures',
  sheet: 'Sheet',
  single: 'Single',
  spliceList: 'Splice list',
  splicesNewClosuresNewCables:
    '{splices, plural, one {# splice} other {# splices}}, {newClosures, plural, one {# new closure} other {# new closures}}, {newCables, plural, one {# new cable} other {# new cables}}.',
  whatEachIsMadeOfProposed:
    'What each is made of. Proposed from the highest fiber in the list: check it.',
  aListCsvOrXlsxWith:
    'A list (CSV or XLSX) with the columns {needed}; {optional} where it has them. Rows above the titles, headings, notes and totals are passed over; a blank or a ditto mark under a name means the same as above. Slots may be a range (1-12). Comma, semicolon or tab. Other columns are kept. A fiber is a number (100), a place (9/4) or colors (tube 9 brown).',
  theTitlesAreInRowWhat:
    'The titles are in row {titlesRow}; what stands above them is passed over.',
});
