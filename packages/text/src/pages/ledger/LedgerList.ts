import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/LedgerList.tsx`. */
export const ledgerList = phrases({
  importASpliceListInThe: 'Import a splice list in the Kit.',
  noRowFitsTheSearchAnd: 'No row fits the search and the filters.',
  noSpliceIsOverItsLimit: 'No splice is over its limit.',
  nothingToRedo: 'Nothing to redo',
  nothingYet: 'Nothing yet',
  splicesToRedo: '{splices, plural, one {# splice} other {# splices}} to redo',
});
