import type { Method } from '../record/splice.ts';
import type { Placed } from './occupancy.ts';

/** A splice that is there, with what keeps it there. */
export type Present = Placed & {
  id: string;
  /** Whether anything is recorded of it: such a splice is never dropped and stays at its place. */
  worked: boolean;
};

export interface PlanChange<There extends Present, New extends Placed> {
  added: New[];
  kept: There[];
  /** Splices of the same fibers at another place or by another method. */
  moved: { from: There; to: New }[];
  dropped: There[];
  /** Splices that have evidence and that the plan would drop or move. */
  refused: { splice: There; message: string }[];
}

/**
 * What a plan would change. A splice is the same where it joins the same two fibers, whichever is
 * named first.
 * @param name how a splice is called in a message, such as `A 17 to B 17`
 */
export function diffPlan<There extends Present, New extends Placed>(
  there: readonly There[],
  planned: readonly New[],
  name: (splice: Placed) => string,
): PlanChange<There, New> {
  const change: PlanChange<There, New> = {
    added: [],
    kept: [],
    moved: [],
    dropped: [],
    refused: [],
  };
  const wanted = new Map<string, New>();
  for (const splice of planned) wanted.set(keyOf(splice), splice);
  for (const splice of there) {
    const key = keyOf(splice);
    const next = wanted.get(key);
    wanted.delete(key);
    if (next && isAt(splice, next)) change.kept.push(splice);
    else if (splice.worked)
      change.refused.push({
        splice,
        message: next
          ? `${name(splice)} is spliced in tray ${splice.tray} slot ${splice.slot} already: it stays there.`
          : `${name(splice)} has attempts: a plan cannot drop it. Keep its fibers in the plan.`,
      });
    else if (next) change.moved.push({ from: splice, to: next });
    else change.dropped.push(splice);
  }
  change.added = [...wanted.values()];
  return change;
}

const keyOf = (splice: Placed): string => {
  const a = `${splice.cableA}\n${splice.fiberA}`;
  const b = `${splice.cableB}\n${splice.fiberB}`;
  return a < b ? `${a}\n${b}` : `${b}\n${a}`;
};

const isAt = (splice: Placed, next: { tray: number; slot: number; method: Method }): boolean =>
  splice.tray === next.tray && splice.slot === next.slot && splice.method === next.method;
