import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/runForm.ts`. */
export const runProblems = phrases({
  coilAtTheEnd: 'Coil at the end',
  distanceOfTheEnd: 'Distance of the end: {distanceProblem}',
  helixFactorSuchAs10050: 'Helix factor: such as 1.0050. {message}',
  lengthOnTheReel: 'Length on the reel',
  markAtName: 'Mark at {name}',
  markAtTheEnd: 'Mark at the end',
  nameTheEndARackA: 'Name the end: a rack, a terminal, a house.',
});
