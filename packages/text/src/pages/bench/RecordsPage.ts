import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/RecordsPage.tsx`. */
export const recordsPage = phrases({
  beingImported: 'Being imported …',
  csvOrJsonWithARecord:
    'CSV, or JSON with a record a line, as the splicer’s software stores it. A record that is here already is not counted twice.',
  dates: 'Dates such as 5/4/2026',
  dayFirst: 'day/month/year',
  importRecords: 'Import {records, plural, one {# record} other {# records}}',
  monthFirst: 'month/day/year',
  moreColumns: 'More columns',
  nameRecordsProblems:
    '{name}: {records, plural, one {# record} other {# records}}, {problems, plural, one {# problem} other {# problems}}',
  newRecordsHereAlreadyTheBench:
    '{newRecords, plural, one {# new record} other {# new records}}, {records} here already. The Bench asks which splice each belongs to.',
  noArc: 'no arc',
  none: 'none',
  numberFibersDb: 'Number {number}, {at}: {fibers} dB',
  recordsOfName: '{records, plural, one {# record} other {# records}} of {name}',
  rowColumn: 'Row {row}{column}.',
  theTitlesAreInRow: 'The titles are in row {row}; what stands above them is passed over.',
  whichColumnHoldsWhat: 'Which column holds what',
  theRecordsBelongToASplicer: 'The records belong to a splicer: choose it first.',
});
