import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/ChartsPage.tsx`. */
export const chartsPage = phrases({
  arc: 'Arc.',
  blade: 'Blade.',
  charts: 'Charts',
  checkTheArc: 'Check the arc',
  dirt: 'Dirt.',
  dotsSingleFiguresHeavyLineTheir:
    'Dots: single figures. Heavy line: their running mean. Shaded band: where it wanders while all is well; it leaves it by chance about once in 500 figures. Dashed line: a single figure above it is marked with a triangle.',
  groove: 'Groove.',
  holder: 'Holder.',
  logTheBlade: 'Log the blade',
  nothingToDoEveryRunningMean: 'Nothing to do: every running mean lies in its band.',
  placesOfTheRibbonSteadyOr:
    '{places, plural, one {# place} other {# places}} of the ribbon steady or with too few figures yet.',
  steady: 'Steady.',
  theFirstTwentyFiguresShowWhat:
    'The first twenty figures show what is usual for this splicer; then its charts begin.',
  tooEarlyToSay: 'Too early to say.',
  tray: 'Tray.',
  chartsAreDrawnFromWhatThe: 'Charts are drawn from what the splicer records.',
});
