import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/Finished.tsx`. */
export const finished = phrases({
  addMeasuredFigures: 'Add measured figures',
  allSpliced: 'All spliced',
  goOnWithSkippedSplices:
    'Go on with {skippedSplices, plural, one {# skipped splice} other {# skipped splices}}',
  noneLeftButThoseSkipped: 'None left but those skipped',
  nothingLeftToMeasureThisWay: 'Nothing left to measure this way',
  nothingToRedo: 'Nothing to redo',
  ofSplicesAreMadeHere:
    '{done} of {splices, plural, one {# splice} other {# splices}} are made here{skipped}.',
  redoSplices: 'Redo {splices, plural, one {# splice} other {# splices}}',
  seeTheClosure: 'See the closure',
  skipped: ', {skipped} skipped',
});
