import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/ledger` share. */
export const ledgerShared = phrases({
  cables: '{count, plural, one {# cable} other {# cables}}',
  closures: '{count, plural, one {# closure} other {# closures}}',
  fibers: '{count, plural, one {# fiber} other {# fibers}}',
  splices: '{count, plural, one {# splice} other {# splices}}',
  trays: '{count, plural, one {# tray} other {# trays}}',
  aToB: 'A to B',
  bToA: 'B to A',
  backToTheList: 'Back to the list',
  changeItInTheKit: 'Change it in the Kit',
  doneOfDue: '{done} of {due}',
  entersEntered: 'Enters {entered}',
  export: 'Export',
  fiberToFiber: '{fiberA} to {fiberB}',
  fibersOfName: 'Fibers of {name}',
  itsSplices: 'Its splices',
  nothingFound: 'Nothing found',
  recordIt: 'Record it',
  showAll: 'Show all',
  splicesOfName: 'Splices of {name}',
  thereIsNoSuchCableIn: 'There is no such cable in this project.',
  thereIsNoSuchRecord: 'There is no such record.',
  tray: '{tray, plural, =0 {At their ports} other {Tray {tray}}}',
});
