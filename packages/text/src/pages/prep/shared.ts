import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/prep` share. */
export const prepShared = phrases({
  atLeast: 'At least {least}.',
  theCableToScale: 'The cable to scale: {marks}',
  tubesThatAreOpenedPressFor:
    'Tubes that are opened: press for cut, again for a window, again for whole',
  whatMeetsIn: 'What meets in {name}',
});
