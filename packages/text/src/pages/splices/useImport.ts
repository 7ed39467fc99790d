import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/useImport.ts`. */
export const useImport = phrases({
  checkingRowOf: 'Checking row {count} of {rows} …',
  importingSplices: 'Importing {splices, plural, one {# splice} other {# splices}} …',
  pastedList: 'Pasted list',
  readingName: 'Reading {name} …',
  readingNameRows: 'Reading {name}: {rows} rows …',
  spliceListName: 'Splice list {name}',
});
