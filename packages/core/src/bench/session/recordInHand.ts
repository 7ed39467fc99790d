import { formatLoss } from '../../measure/index.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import { countedEstimate } from '../records.ts';
import { type BenchSplice, fusedTogether } from './benchSplices.ts';

/**
 * The place in a record's holder of a splice in hand: where the record has as many fibers as are spliced,
 * in their order; else by its place in the whole ribbon.
 */
export function positionOf(
  record: SplicerRecord,
  sleeve: readonly BenchSplice[],
  live: readonly BenchSplice[],
  splice: BenchSplice,
): number | null {
  const list = record.fibers.length === live.length ? live : sleeve;
  const index = list.findIndex(({ id }) => id === splice.id);
  return record.fibers[index]?.position ?? null;
}

/** A record's estimates as they stand in the fields of a sleeve; those that are none stay empty. */
export function typedFrom(
  record: SplicerRecord,
  sleeve: readonly BenchSplice[],
): Record<string, string> {
  const live = fusedTogether(sleeve);
  const typed: Record<string, string> = {};
  for (const splice of live) {
    const position = positionOf(record, sleeve, live, splice);
    const fiber = record.fibers.find((seen) => seen.position === position);
    const estimate = fiber ? countedEstimate(fiber) : null;
    if (estimate !== null) typed[splice.id] = formatLoss(estimate);
  }
  return typed;
}
