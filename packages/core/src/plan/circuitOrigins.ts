import type { Splice } from '../record/splice.ts';

/** One end of a splice: a fiber of a cable. */
export interface FiberEnd {
  cable: string;
  fiber: number;
}

/** The fibers that a splice joins. */
export type JoinedFibers = Pick<Splice, 'cableA' | 'fiberA' | 'cableB' | 'fiberB'> & {
  /** Where the splice comes along the route; smaller is nearer the head. */
  order: number;
};

/**
 * Finds the fiber along the route that each splice belongs to: all splices joined end to end by cables.
 * Linear in the number of splices.
 * @param joints the splices of a project
 * @returns for each splice the head of its fiber: the free end nearest the start of the route
 */
export function circuitOrigins(joints: readonly JoinedFibers[]): FiberEnd[] {
  const nodes = new Map<string, number>();
  const ends: FiberEnd[] = [];
  const degree: number[] = [];
  const nearest: number[] = [];
  const parent: number[] = [];
  const node = (cable: string, fiber: number, order: number): number => {
    const key = `${cable} ${fiber}`;
    let index = nodes.get(key);
    if (index === undefined) {
      index = ends.length;
      nodes.set(key, index);
      ends.push({ cable, fiber });
      degree.push(0);
      nearest.push(order);
      parent.push(index);
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
    const a = node(joint.cableA, joint.fiberA, joint.order);
    const b = node(joint.cableB, joint.fiberB, joint.order);
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
  return first.map((index) => ends[heads.get(root(index))!]!);
}
