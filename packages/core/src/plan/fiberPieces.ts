import type { Leg } from '../record/splice.ts';

/** The ends of a splice, and where it lies on the route. */
export interface PiecedSplice {
  cableA: string;
  fiberA: number;
  legA?: Leg | null;
  cableB: string;
  fiberB: number;
  legB?: Leg | null;
  /** Where its closure comes along the route; smaller is nearer the head. */
  order?: number;
}

/**
 * Where fibers are cut on the way of their cable: one that is spliced by a leg is two pieces from that closure on, which
 * carry different light. Pieces of a fiber are counted from 0 at the head of the route.
 */
export class FiberPieces {
  /** Where each cut fiber is cut, in the order of the route. */
  readonly cuts = new Map<string, ReadonlyMap<number, readonly number[]>>();

  constructor(splices: readonly PiecedSplice[]) {
    const cuts = this.cuts as Map<string, Map<number, number[]>>;
    const cut = (cable: string, fiber: number, order = 0) => {
      let fibers = cuts.get(cable);
      if (!fibers) cuts.set(cable, (fibers = new Map()));
      const orders = fibers.get(fiber);
      if (!orders) fibers.set(fiber, [order]);
      else if (!orders.includes(order)) orders.push(order);
    };
    for (const { cableA, fiberA, legA, cableB, fiberB, legB, order } of splices) {
      if (legA) cut(cableA, fiberA, order);
      if (legB) cut(cableB, fiberB, order);
    }
    for (const fibers of cuts.values())
      for (const orders of fibers.values()) orders.sort((a, b) => a - b);
  }

  /** The piece in which an end of a splice lies. */
  pieceOf(cable: string, fiber: number, leg: Leg | null = null, order = 0): number {
    const orders = this.cuts.get(cable)?.get(fiber);
    if (!orders) return 0;
    const before = orders.filter((one) => one < order).length;
    return leg === 'out' ? before + 1 : before;
  }
}
