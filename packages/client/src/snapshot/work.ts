import { type Closure, type Evidence, type Splice, retirementsOf } from '@cordel/core';

/** A closure's splices with all that was recorded of them. */
export interface ClosureWork {
  closure: Closure;
  splices: Splice[];
  /** Splices that were removed. */
  retired: Splice[];
  /** Of both. */
  evidence: Evidence[];
}

/** A closure's work with entries added that it does not have yet. */
export function withEvidence(work: ClosureWork, entries: readonly Evidence[]): ClosureWork {
  const ours = new Set([...work.splices, ...work.retired].map((splice) => splice.id));
  const known = new Set(work.evidence.map((entry) => entry.id));
  const fresh = entries.filter((entry) => ours.has(entry.spliceId) && !known.has(entry.id));
  if (fresh.length === 0) return work;
  const removed = retirementsOf(fresh);
  return {
    ...work,
    splices: work.splices.filter(({ id }) => !removed.has(id)),
    retired: [...work.retired, ...work.splices.filter(({ id }) => removed.has(id))],
    evidence: [...work.evidence, ...fresh],
  };
}
