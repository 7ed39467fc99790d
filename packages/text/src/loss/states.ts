import type { Grade, GroupVerdict, SpliceStage } from '@cordel/core';
import { phrases } from '../phrases.ts';

/** How a loss is known. */
export const gradeText = phrases({
  estimate: 'estimate',
  'one-way': 'one-way',
  insertion: 'insertion loss',
  'two-way': 'two-way average',
} satisfies Record<Grade, string>);

/** The state of a splice, the same on screen, on paper and in files. */
export const spliceStateText = phrases({
  open: 'open',
  skipped: 'skipped',
  dead: 'dead',
  redo: 'to redo',
  spliced: 'spliced',
  measured: 'measured',
  accepted: 'accepted by the lead',
} satisfies Record<SpliceStage, string>);

/** What is said of a group of splices. */
export const groupVerdictText = phrases({
  open: 'open',
  provisional: 'partly measured',
  pass: 'pass',
  fail: 'fail',
  accepted: 'accepted by the lead',
  dead: 'dead',
} satisfies Record<GroupVerdict, string>);
