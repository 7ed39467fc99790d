import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/ClosuresPage.tsx`. */
export const closuresPage = phrases({
  importingASpliceListAddsIts: 'Importing a splice list adds its closures; or add one here.',
  aWholeNumberFromTo: 'A whole number from {least} to {most}.',
  addAClosure: 'Add a closure',
  byHardware: 'Order: by hardware',
  byName: 'Order: by name',
  byTrays: 'Order: most trays first',
  branchesOffFrom: 'Branches off from',
  closureName: 'Closure name',
  distanceFromTheStart: 'Distance from the start',
  distanceTrays: '{distance} · {trays, plural, one {# tray} other {# trays}}',
  mainRoute: 'main route',
  noHardware: 'no hardware',
  noClosureYet: 'No closure yet',
  order: 'Order',
  routeOrder: 'Order: route',
  suchAs124300M: 'Such as 12.4 {unit}, 300 m, 5 1/4 ft; empty if unknown',
});
