import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/BudgetPage.tsx`. */
export const budgetPage = phrases({
  onceRepaired: 'once it is repaired {left}',
  aCircuitBeginsWithASplice:
    'A circuit begins with a splice: plan a closure or import a splice list.',
  broken: 'broken',
  circuitsNoLight: '{circuits, plural, one {# circuit} other {# circuits}} {dark} no light',
  dbLeft: '{db} dB left',
  dbOver: '{db} dB over',
  distanceOfFiber: '{distance} of fiber, ',
  endsAtPorts: ', {ends, plural, one {# end} other {# ends}} at ports',
  hasLight: 'has light',
  hasNoLight: 'has no light',
  labelFromTo: '{label} · {from} to {to}',
  lengthUnknown: 'length unknown',
  seeLabel: 'See {label}',
  mayHaveNoLight: 'may have no light',
  noCircuitsYet: 'No circuits yet',
  noneIsDark: 'None is dark',
  notSplicedYet: 'not spliced yet',
  ofFiberSplicesAndConnectorsAt:
    ' of {total}. Fiber, splices and connectors at both ends, against {most}.',
  splitterOutput: '{name} out {output}',
  splices: '{splices, plural, one {# splice} other {# splices}}',
  throughSplitters: 'Through {splitters}: at most {loss} dB.',
  theMostOfEveryPart: 'the most of every part',
  thePowerBudget: 'the power budget',
  whatThePartsLose: 'Loss by component',
  nmOfDbExpected:
    '{wavelengthNm} nm: {measured, select, calculated {calculated} measured {measured} other {measured, with {assumed} dB assumed for connectors and splitters,}} {loss} of {most} dB, expected {expected} ± {spread}; {margin}',
});
