import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/projects/UnitFields.tsx`. */
export const unitFields = phrases({
  altitude: 'Altitude',
  chooseSingleUnits: 'Set each unit',
  distancesAlongTheRoute: 'Distances along the route',
  hideTheSingleUnits: 'Hide the single units',
  metric: 'Metric',
  paper: 'Paper',
  pressure: 'Pressure',
  shortLengthsAtTheBench: 'Short lengths, at the bench',
  timeZoneOfTheWork: 'Time zone of the work',
  unitsAndPaper: 'Units and paper',
  cleaveLengthsStayInMmAny: '{units}. Cleave lengths stay in mm; any unit may be typed.',
});
