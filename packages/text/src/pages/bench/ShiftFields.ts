import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/shift/ShiftFields.tsx`. */
export const shiftFields = phrases({
  aFigureFromTo1440: 'A figure from {least} to 1440.',
  adhesiveS: 'Adhesive, s',
  arcCheckS: 'Arc check, s',
  arcS: 'Arc, s',
  fewerLabel: 'Fewer: {label}',
  heatS: 'Heat, s',
  intoTheHeaterS: 'Into the heater, s',
  loadS: 'Load, s',
  checkAndTestS: 'Check and test, s',
  moreLabel: 'More: {label}',
  openATubeS: 'Open a tube, s',
  prepareAPairS: 'Prepare a pair, s',
  prepareARibbonS: 'Prepare a ribbon, s',
  ribbonizeS: 'Ribbonize, s',
  ribbonizedRedone: 'Ribbonized redone, %',
  ribbonsRedone: 'Ribbons redone, %',
  seatS: 'Seat, s',
  singlesRedone: 'Singles redone, %',
  takeOutAgainS: 'Take out again, s',
  theArcIsCheckedByThe:
    'The arc is checked by the project’s policy; heaters and arcs keep their time.',
});
