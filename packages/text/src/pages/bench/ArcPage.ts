import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/ArcPage.tsx`. */
export const arcPage = phrases({
  aWholeNumberOfArcs: 'A whole number of arcs.',
  arcsAreCounted:
    '{arcs, plural, one {# arc} other {# arcs}} on the electrodes, as counted: typed splices and rounds too.',
  counterAt: 'counter at {arcs}',
  counterOfTheSplicer: 'Counter of the splicer',
  electrodesCleaned: 'Electrodes cleaned',
  saveTheCounter: 'Save the counter',
  airNotRead: 'air not read',
  arcCheck: 'Arc check',
  arcCheckRound: 'Arc check, round {round}',
  bladeTurned: 'Blade turned',
  checksSoFar: 'Checks so far',
  due: 'Due.',
  electrodesAreHotAfterAnArc:
    'Electrodes are hot after an arc and never touched with fingers. No solvent near the arc.',
  electrodesReplaced: 'Electrodes replaced',
  humidity: 'Humidity, %',
  humidityIsAShareFrom0: 'Humidity is a share from 0 to 100 %.',
  itDidNotPass: 'It did not pass',
  itPassed: 'It passed',
  momentRoundPassedOriginAir: '{moment} · round {round}: {passed}, {origin} · {air} · {by}',
  noneIsLoggedYet: 'None is logged yet.',
  notPassed: 'not passed',
  notReadYet: 'Not read yet',
  notRun: 'Not run.',
  pressureOrAltitude: 'Pressure or altitude',
  round: 'Round {round}',
  runARoundOnTheSimulated: 'Run a round on the simulated splicer',
  soon: 'Soon.',
  theSplicerReads: 'The splicer reads {format}',
  useSingleModeFiberEvenWhere:
    'Use single-mode fiber, even where the job is multimode. It may take several rounds.',
  warmUpClock: 'Warm-up {clock}',
  theCheckBelongsToTheSplicer: 'The check belongs to the splicer: choose it first.',
});
