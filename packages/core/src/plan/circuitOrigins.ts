import { groupBy } from '../groupBy.ts';
import { FiberPieces, type PiecedSplice } from './fiberPieces.ts';

/** One end of a splice: a fiber of a cable. */
export interface FiberEnd {
  cable: string;
  fiber: number;
}

/** The fibers that a splice joins, and where it comes along the route. */
export type JoinedFibers = PiecedSplice & { order: number };

/**
 * Finds the fiber along the route that each splice belongs to: all splices joined end to end by cables.
 * Linear in the number of splices.
 * @param joints the splices of a project
 * @returns for each splice the head of its fiber: the free end nearest the start of the route. No two have one head: where
 * pieces of a fiber that is cut would, the one behind is named by its next end.
 */
export function circuitOrigins(joints: readonly JoinedFibers[]): FiberEnd[] {
  const pieces = new FiberPieces(joints);
  const nodes = new Map<string, number>();
  const ends: FiberEnd[] = [];
  const degree: number[] = [];
  const nearest: number[] = [];
  const parent: number[] = [];
  const pieceOf: number[] = [];
  const node = (cable: string, fiber: number, leg: PiecedSplice['legA'], order: number): number => {
    const piece = pieces.pieceOf(cable, fiber, leg, order);
    const key = piece === 0 ? `${cable} ${fiber}` : `${cable} ${fiber} ${piece}`;
    let index = nodes.get(key);
    if (index === undefined) {
      index = ends.length;
      nodes.set(key, index);
      ends.push({ cable, fiber });
      degree.push(0);
      nearest.push(order);
      parent.push(index);
      pieceOf.push(piece);
    }
    degree[index]! += 1;
    nearest[index] = Math.min(nearest[index]!, order);
    return index;
  };
  const root = (index: number): number => {
    while (parent[index] !== index) {
      parent[index] = parent[parent[index]!]!;
      index = parent[index]!;
    }
    return index;
  };
  const first = joints.map((joint) => {
    const a = node(joint.cableA, joint.fiberA, joint.legA, joint.order);
    const b = node(joint.cableB, joint.fiberB, joint.legB, joint.order);
    parent[root(b)] = root(a);
    return a;
  });
  const heads = new Map<number, number>();
  for (let index = 0; index < ends.length; index++) {
    const group = root(index);
    const best = heads.get(group);
    if (best === undefined || isBefore(index, best)) heads.set(group, index);
  }
  function isBefore(a: number, b: number): boolean {
    const free = Math.min(degree[a]!, 2) - Math.min(degree[b]!, 2);
    if (free !== 0) return free < 0;
    return nearest[a]! < nearest[b]! || (nearest[a] === nearest[b] && a < b);
  }
  if (pieces.cuts.size > 0) nameApart();
  /** Gives every fiber along the route a head of its own. */
  function nameApart(): void {
    const nameOf = (index: number) => `${ends[index]!.cable} ${ends[index]!.fiber}`;
    const taken = new Set<string>();
    const behind: number[] = [];
    for (const [group, head] of heads)
      if (pieceOf[head] === 0) taken.add(nameOf(head));
      else behind.push(group);
    if (behind.length === 0) return;
    const members = groupBy(ends.keys(), root);
    for (const group of behind) {
      const best = members
        .get(group)!
        .filter((index) => !taken.has(nameOf(index)))
        .reduce<number | null>(
          (one, next) => (one === null || isBefore(next, one) ? next : one),
          null,
        );
      if (best === null) continue;
      heads.set(group, best);
      taken.add(nameOf(best));
    }
  }
  return first.map((index) => ends[heads.get(root(index))!]!);
}
