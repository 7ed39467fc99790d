import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/splices/useImport.ts`. */
export const useImport = phrases({
  checkingRowOf: 'Checking row {count} of {rows} …',
  importingSplices: 'Importing {splices, plural, one {# splice} other {# splices}} …',
  projectUnread:
    'The project could not be read: {problem} The list is checked when it can be read.',
  pastedList: 'Pasted list',
  readingName: 'Reading {name} …',
  readingNameRows: 'Reading {name}: {rows} rows …',
  spliceListName: 'Splice list {name}',
});
