import {
  type Evidence,
  type Judgement,
  type Limits,
  type Reading,
  type Splice,
  type SpliceState,
  type Standing,
  judgeSplice,
  spliceState,
  standingOf,
  groupBy,
} from '@cordel/core';
import type { ClosureWork } from '@cordel/client';
import type { BenchDraft } from './draft';

/** A splice on the Bench with what counts of it. */
export interface BenchSplice extends Splice {
  evidence: Evidence[];
  standing: Standing;
  judgement: Judgement;
}

/** All splices of a closure, judged. */
export function benchSplices(work: ClosureWork, limits: Limits): BenchSplice[] {
  const groups = groupBy(work.evidence, ({ spliceId }) => spliceId);
  return work.splices.map((splice) => {
    const evidence = groups.get(splice.id) ?? [];
    const standing = standingOf(evidence);
    return {
      ...splice,
      evidence,
      standing,
      judgement: judgeSplice(standing, splice.method, limits),
    };
  });
}

export const stateOf = (splice: BenchSplice): SpliceState => spliceState(splice.judgement);

export const isDead = (splice: BenchSplice): boolean => stateOf(splice) === 'dead';

/** Whether a joint was made that can be measured. */
export const isMeasurable = ({ judgement }: BenchSplice): boolean =>
  ['provisional', 'pass', 'fail', 'accepted'].includes(judgement.verdict);

/** Splices of a sleeve that are fused together: not the dead ones, nor those put off where others are not. */
export function fusedTogether(splices: readonly BenchSplice[]): BenchSplice[] {
  const live = splices.filter((splice) => !isDead(splice));
  const due = live.filter((splice) => stateOf(splice) !== 'skipped');
  return due.length > 0 ? due : live;
}

/** Grade and direction of the figure that is being typed. */
export const readingKind = (kind: BenchDraft['kind']): Pick<Reading, 'grade' | 'direction'> =>
  kind === 'AB' || kind === 'BA'
    ? { grade: 'one-way', direction: kind }
    : { grade: kind, direction: null };
