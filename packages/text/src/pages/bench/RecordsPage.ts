import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/RecordsPage.tsx`. */
export const recordsPage = phrases({
  beingImported: 'Being imported …',
  csvOrJsonWithARecord:
    'CSV, or JSON with a record a line, as the splicer’s software stores it. A record that is here already is not counted twice.',
  importRecords: 'Import {records, plural, one {# record} other {# records}}',
  moreColumns: 'More columns',
  nameRecordsProblems:
    '{name}: {records, plural, one {# record} other {# records}}, {problems, plural, one {# problem} other {# problems}}',
  newRecordsHereAlreadyTheBench:
    '{newRecords, plural, one {# new record} other {# new records}}, {records} here already. The Bench asks which splice each belongs to.',
  noArc: 'no arc',
  none: 'none',
  numberFibersDb: 'Number {number}: {fibers} dB',
  recordsOfName: '{records, plural, one {# record} other {# records}} of {name}',
  rowColumn: 'Row {row}{column}.',
  whichColumnHoldsWhat: 'Which column holds what',
  theRecordsBelongToASplicer: 'The records belong to a splicer: choose it first.',
});
