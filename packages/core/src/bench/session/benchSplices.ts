import { groupBy } from '../../groupBy.ts';
import {
  type Judgement,
  type SpliceStage,
  type SpliceState,
  judgeSplice,
  spliceStage,
  spliceStateOf,
} from '../../loss/index.ts';
import type { Evidence } from '../../record/evidence.ts';
import type { Limits } from '../../record/limits.ts';
import type { Splice } from '../../record/splice.ts';

/** A splice on the Bench with what counts of it. */
export interface BenchSplice extends Splice {
  evidence: Evidence[];
  spliceState: SpliceState;
  judgement: Judgement;
}

/** All splices of a closure, judged. */
export function benchSplices(
  work: { splices: readonly Splice[]; evidence: readonly Evidence[] },
  limits: Limits,
): BenchSplice[] {
  const groups = groupBy(work.evidence, ({ spliceId }) => spliceId);
  return work.splices.map((splice) => {
    const evidence = groups.get(splice.id) ?? [];
    const spliceState = spliceStateOf(evidence);
    return {
      ...splice,
      evidence,
      spliceState,
      judgement: judgeSplice(spliceState, splice, limits),
    };
  });
}

export const stageOf = (splice: BenchSplice): SpliceStage => spliceStage(splice.judgement);

export const isDead = (splice: BenchSplice): boolean => stageOf(splice) === 'dead';

/** Whether a splice was made that can be measured. */
export const isMeasurable = ({ judgement }: BenchSplice): boolean =>
  ['provisional', 'pass', 'fail', 'accepted'].includes(judgement.verdict);

/** Splices of a sleeve that are fused together: not the dead ones, nor those put off where others are not. */
export function fusedTogether(splices: readonly BenchSplice[]): BenchSplice[] {
  const live = splices.filter((splice) => !isDead(splice));
  const due = live.filter((splice) => stageOf(splice) !== 'skipped');
  return due.length > 0 ? due : live;
}
