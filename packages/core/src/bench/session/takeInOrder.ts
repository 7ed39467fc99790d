import { isFused } from '../../record/splice.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import type { Sleeve } from '../queue.ts';
import { countedEstimate } from '../records.ts';
import { type BenchSplice, fusedTogether } from './benchSplices.ts';
import { type BenchState } from './benchState.ts';
import { type BenchScene, isWaiting } from './inHand.ts';

/** A record and the sleeve that it is of when both are taken in their order. */
export interface OrderedPair {
  record: SplicerRecord;
  sleeve: Sleeve<BenchSplice>;
}

/** Why no further record was taken: a person has to say where that one belongs. */
export interface OrderStop {
  code: 'otherCount' | 'noEstimate' | 'noSpliceLeft';
  /** The record's running number. */
  number: number;
}

/**
 * Holds records against the splices that wait, both in their order, up to the first that cannot be right: it has
 * another number of fibers than the sleeve, or no estimate that counts.
 * @param records those that belong to no splice yet; runs without an arc are passed over
 */
export function takeInOrder(
  records: readonly SplicerRecord[],
  state: BenchState,
  scene: BenchScene,
): { pairs: OrderedPair[]; stop: OrderStop | null } {
  const waiting = scene.sleeves.filter(
    (sleeve) => isFused(sleeve.splices[0]?.end ?? null) && isWaiting(sleeve, state, scene),
  );
  const pairs: OrderedPair[] = [];
  const fused = records.filter(({ fused }) => fused).sort((a, b) => a.number - b.number);
  for (const record of fused) {
    const stopAt = (code: OrderStop['code']) => ({ pairs, stop: { code, number: record.number } });
    const sleeve = waiting[pairs.length];
    if (!sleeve) return stopAt('noSpliceLeft');
    const counts = [fusedTogether(sleeve.splices).length, sleeve.splices.length];
    if (!counts.includes(record.fibers.length)) return stopAt('otherCount');
    if (record.fibers.some((fiber) => countedEstimate(fiber) === null)) return stopAt('noEstimate');
    pairs.push({ record, sleeve });
  }
  return { pairs, stop: null };
}
