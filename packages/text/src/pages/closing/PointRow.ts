import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/PointRow.tsx`. */
export const pointRow = phrases({
  okByAt: 'OK · {by} {at}',
  failedByAt: 'failed{slots} · {by} {at}',
  do: 'Do: ',
  fail: 'Fail',
  notChecked: 'not checked',
  photoAsked: 'Photo: {asked}',
  photoIndex: 'Photo {index}',
  repairedOkNow: 'Repaired: OK now',
  slot: 'Slot {slot}',
  slotSlots: ', slot {slots}',
  waiveForThisReason: 'Waive for this reason',
  waiveIt: 'Waive it',
  waivedByWhy: 'waived by {by}: {why}',
  whichSlots: 'Which slots?',
  whyIsItWaived: 'Why is it waived?',
});
