import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/prep` share. */
export const prepShared = phrases({
  answer: '{asked}: {answer}',
  atLeast: 'At least {least}.',
  tickPlain: '{steps} plain steps are done (nothing to write, no caution)',
  tickedBy: '{by}, {moment}',
  goOnAnyway: 'Go on anyway',
  next: 'Next:',
  notYet: 'Do this first. People or live fibers depend on it:',
  overridden: 'Done before a safety step: {why}',
  reasonToGoOn: 'Reason to go on without it',
  takeAPhoto: 'Take a photo',
  theCableToScale: 'The cable to scale: {marks}',
  unitsThatAreOpened:
    '{unit, select, tube {Tubes that are opened; press for the next way: whole, cut, window.} other {Ribbons that are cut; press to choose.}}',
  unitsThatThePlanOpens:
    '{unit, select, tube {Tubes that the plan splices; press to choose how: cut or window.} other {Ribbons that the plan splices: cut.}}',
  unitWay: '{name} {way, select, whole {whole} dedicate {cut} other {window}}',
  whatMeetsIn: 'What meets in {name}',
});
