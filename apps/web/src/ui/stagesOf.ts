import type { ClosureRow } from '@cordel/core';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { common } from '@cordel/text/pages/common';

export type StageState = 'done' | 'under way' | 'to come' | 'not recorded' | 'partly recorded';

export interface Stage {
  name: string;
  state: StageState;
}

/** Steps of opening a closure's cables: all, and those ticked off. */
export interface Opening {
  steps: number;
  done: number;
}

/**
 * Where the work on a closure stands. What is spliced whole has been opened; how it was is known only as far as its steps
 * were ticked off.
 */
export function stagesOf(
  row: Pick<ClosureRow, 'total' | 'due' | 'done' | 'measured' | 'failed' | 'verdict' | 'closing'>,
  opening: Opening,
): Stage[] {
  const spliced = row.total > 0 && row.done === row.due;
  const judged = row.measured + row.failed;
  return [
    { name: t('plan'), state: row.total > 0 ? 'done' : 'to come' },
    {
      name: t('open'),
      state:
        opening.steps > 0 && opening.done === opening.steps
          ? 'done'
          : spliced
            ? opening.done > 0
              ? 'partly recorded'
              : 'not recorded'
            : opening.done > 0 || row.done > 0
              ? 'under way'
              : 'to come',
    },
    { name: common('splice'), state: spliced ? 'done' : row.done > 0 ? 'under way' : 'to come' },
    { name: common('close'), state: row.closing },
    {
      name: t('prove'),
      state:
        row.verdict === 'pass' || row.verdict === 'accepted'
          ? 'done'
          : judged > 0
            ? 'under way'
            : 'to come',
    },
  ];
}

/** What is to be done at a closure. */
export type NextStep = 'plan' | 'open' | 'splice' | 'redo' | 'close' | 'measure';

/** The first thing at a closure that is not done yet. Who has spliced has opened it, ticked off or not. */
export function nextStepOf(
  row: Pick<ClosureRow, 'total' | 'done' | 'open' | 'skipped' | 'redo' | 'closing'>,
  opening: Opening,
): NextStep {
  if (row.total === 0) return 'plan';
  const isOpened = opening.steps > 0 && opening.done === opening.steps;
  if (row.done === 0 && !isOpened) return 'open';
  if (row.open + row.skipped > 0) return 'splice';
  if (row.redo > 0) return 'redo';
  return row.closing === 'done' ? 'measure' : 'close';
}
