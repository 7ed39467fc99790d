import type { RollUp } from '@cordel/core';

export type StageState = 'done' | 'under way' | 'to come';

export interface Stage {
  name: string;
  state: StageState;
}

/** Where the work on a closure stands. */
export function stagesOf(
  row: Pick<
    RollUp,
    'total' | 'done' | 'pass' | 'waived' | 'verdict' | 'grade' | 'provisional' | 'fail'
  >,
): Stage[] {
  const spliced = row.total > 0 && row.done === row.total;
  const judged = row.pass + row.fail;
  return [
    { name: 'Plan', state: row.total > 0 ? 'done' : 'to come' },
    { name: 'Splice', state: spliced ? 'done' : row.done > 0 ? 'under way' : 'to come' },
    {
      name: 'Prove',
      state:
        row.verdict === 'pass' || row.verdict === 'waived'
          ? 'done'
          : judged > 0
            ? 'under way'
            : 'to come',
    },
  ];
}
