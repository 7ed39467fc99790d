import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/InOrderPart.tsx`. */
export const inOrderPart = phrases({
  byFibersInOrder: 'By fibers, in order',
  compareTheFirstAndTheLast:
    'Records that belong to no splice yet, by their numbers, beside the splices that wait, by tray and slot. Compare the first and the last with the tray before you take them.',
  noEstimate:
    'Number {number} has no estimate that counts: take it and those after it at the Bench.',
  noSpliceLeft: 'No splice waits for number {number} and those after it.',
  numberAt: 'Number {number}: ',
  otherCount:
    'Number {number} has another number of fibers than the splice whose turn it is: take it and those after it at the Bench.',
  recordsCount:
    '{records, plural, one {# record counts} other {# records count}} now. Undo on the Bench takes them back.',
  showAll: 'Show all {pairs}',
  spliceLosses: '{splice}, tray {tray}, slot {slot}: {losses} dB',
  taken: 'Taken.',
  takeRecords: 'Take {records, plural, one {# record} other {# records}} in order',
});
