import type { EndWay, Method } from '../record/splice.ts';
import type { FiberPairs } from '../record/message.ts';
import { type Placed, pairOf } from './occupancy.ts';

/** A splice that is there, with what keeps it there. */
export type Present = Placed & {
  id: string;
  /** Whether anything is recorded of it: such a splice stays at its place, and is retired rather than dropped. */
  worked: boolean;
};

export interface PlanChange<There extends Present, New extends Placed> {
  added: New[];
  kept: There[];
  /** Splices of the same fibers at another place or by another method. */
  moved: { from: There; to: New }[];
  dropped: There[];
  /** Splices that have evidence and are removed: their record stays. */
  retired: There[];
  /** Splices that have evidence and that the plan would drop or move; `cut` where removing them would do. */
  refused: { splice: There; cut: boolean; message: RefusedChange }[];
}

/** Why a splice is neither moved nor dropped. */
export type RefusedChange =
  | { code: 'staysAt'; fibers: FiberPairs; tray: number; slot: number }
  | { code: 'hasEvidence'; fibers: FiberPairs };

/**
 * What a plan would change. A splice is the same where it joins the same two fibers, whichever is
 * named first.
 * @param retire whether splices that have evidence may be removed where the plan no longer has them
 */
export function diffPlan<There extends Present, New extends Placed>(
  there: readonly There[],
  planned: readonly New[],
  retire = false,
): PlanChange<There, New> {
  const change: PlanChange<There, New> = {
    added: [],
    kept: [],
    moved: [],
    dropped: [],
    retired: [],
    refused: [],
  };
  const wanted = new Map<string, New>();
  for (const splice of planned) wanted.set(keyOf(splice), splice);
  for (const splice of there) {
    const key = keyOf(splice);
    const next = wanted.get(key);
    wanted.delete(key);
    if (next && isAt(splice, next)) change.kept.push(splice);
    else if (splice.worked && !next && retire) change.retired.push(splice);
    else if (splice.worked)
      change.refused.push({
        splice,
        cut: !next,
        message: next
          ? { code: 'staysAt', fibers: pairOf(splice), tray: splice.tray, slot: splice.slot }
          : { code: 'hasEvidence', fibers: pairOf(splice) },
      });
    else if (next) change.moved.push({ from: splice, to: next });
    else change.dropped.push(splice);
  }
  change.added = [...wanted.values()];
  return change;
}

const keyOf = (splice: Placed): string => {
  const a = `${splice.cableA}\n${splice.fiberA}\n${splice.legA}`;
  const b = `${splice.cableB}\n${splice.fiberB}\n${splice.legB}`;
  return a < b ? `${a}\n${b}` : `${b}\n${a}`;
};

const isAt = (
  splice: Placed,
  next: { tray: number; slot: number; method: Method; end: EndWay | null },
): boolean =>
  splice.tray === next.tray &&
  splice.slot === next.slot &&
  splice.method === next.method &&
  splice.end === next.end;
