import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/projects/projectForm.ts`. */
export const projectForm = phrases({
  aLimitIsMoreThan0: 'A limit is more than 0 dB.',
  aLossIsNotBelow0: 'A loss is not below 0 dB here.',
  aWholeNumberFromTo: 'A whole number from {least} to {most}.',
  moreThan0Db: 'More than 0 dB.',
  writeNmSuchAs13101550: '{message} Write nm, such as 1310, 1550.',
});
