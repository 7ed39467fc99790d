import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/labels` share. */
export const labelsShared = phrases({
  noClosureHere: 'No closure here.',
  scanOrTypeACode: 'Scan or type a code',
  thereIsNoCameraOrIt: 'There is no camera, or it is not allowed: type the code instead.',
  thisBrowserGivesNoCameraHere:
    'This browser gives no camera here (it wants https): type the code instead.',
});
