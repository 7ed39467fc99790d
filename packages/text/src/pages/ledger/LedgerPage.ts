import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/LedgerPage.tsx`. */
export const ledgerPage = phrases({
  atName: 'At {name}',
  byName: 'by name',
  chooseARowItsRecordOpens: 'Choose a row: its record opens here.',
  clear: 'Clear',
  closures: 'Closures',
  filterAndSort: 'Filter and sort',
  highestMean: 'highest mean',
  leastDoneFirst: 'least done first',
  ledger: 'Ledger',
  mostRedoFirst: 'most to redo first',
  mostTraysFirst: 'most trays first',
  needsWorkFirst: 'needs work first',
  noneToRedo: 'none to redo',
  order: 'Order',
  orderSortLabels: 'Order: {sortLabels}',
  redo: 'Redo',
  redoToRedo: '{redo} to redo',
  routeOrder: 'route order',
  search: 'Search',
  splicedLoss: ' spliced · {loss} · ',
  splices: 'Splices',
  worstFirst: 'worst first',
  a100712BrownTray: 'A 100, 7/12, brown, tray 4, a name',
});
