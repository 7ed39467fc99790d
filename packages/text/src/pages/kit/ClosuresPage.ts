import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/ClosuresPage.tsx`. */
export const closuresPage = phrases({
  importingASpliceListAddsIts: 'Importing a splice list adds its closures; or add one here.',
  aWholeNumberFromTo: 'A whole number from {least} to {most}.',
  addAClosure: 'Add a closure',
  branchesOffFrom: 'Branches off from',
  closureName: 'Closure name',
  distanceFromTheStart: 'Distance from the start',
  distanceTrays: '{distance} · {trays, plural, one {# tray} other {# trays}}',
  mainRoute: 'main route',
  noClosureYet: 'No closure yet',
  suchAs124300M: 'Such as 12.4 {unit}, 300 m, 5 1/4 ft; empty if unknown',
});
