import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/ui` share. */
export const uiShared = phrases({
  back: 'Back',
  countingRows: 'Counting rows',
  doneOfTotalRows: '{done} of {total} rows',
  keys: 'Keys',
  partMissing: 'Part of this page is not loaded.',
  notReached: 'Not reached.',
  open: 'Open',
  plan: 'Plan',
  prove: 'Prove',
  onlyWhoMay:
    'Only {right, select, inspect {an inspector, technician, lead or owner} record {a technician, lead or owner} decide {a lead or owner} other {an owner}} can change this.',
  readOnly: 'Read only.',
  reading: 'Reading …',
  stageDone: 'done',
  stageIs: '{name}: {state}',
  stageNotRecorded: 'not recorded',
  stagePartlyRecorded: 'partly recorded',
  stageToCome: 'to come',
  stageUnderWay: 'under way',
});
