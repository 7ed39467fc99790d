/** Which items lie in each bin, by index. */
export type Packing = number[][];

/**
 * Packs items into as few bins as it finds. First in their own order, so that neighbors stay
 * neighbors; then by size; then bin after bin as full as can be round the largest item left (minimum
 * bin slack: Gupta and Ho, A new heuristic algorithm for the one-dimensional bin-packing problem,
 * Production Planning & Control 10, 1999, from memory). The first of the best is taken.
 * @param weights of the items, whole numbers, each at most the largest capacity
 * @param capacities of the bins, largest first
 * @returns bins in use, and the items for which there is no bin
 */
export function pack(
  weights: readonly number[],
  capacities: readonly number[],
): { bins: Packing; left: number[] } {
  const order = weights.map((_, index) => index);
  const bySize = [...order].sort((a, b) => weights[b]! - weights[a]! || a - b);
  const ways = [
    inOrder(order, weights, capacities),
    firstFit(order, weights, capacities),
    firstFit(bySize, weights, capacities),
    leastSlack(bySize, weights, capacities),
  ];
  return ways.reduce((best, way) => (isBetter(way, best, weights) ? way : best));
}

type Packed = { bins: Packing; left: number[] };

function isBetter(one: Packed, other: Packed, weights: readonly number[]): boolean {
  const leftOf = (way: Packed) => way.left.reduce((sum, index) => sum + weights[index]!, 0);
  const [left, otherLeft] = [leftOf(one), leftOf(other)];
  return left !== otherLeft ? left < otherLeft : one.bins.length < other.bins.length;
}

/** Each item into the bin before it where it fits, else into the next. */
function inOrder(
  order: readonly number[],
  weights: readonly number[],
  capacities: readonly number[],
): Packed {
  const packed: Packed = { bins: [], left: [] };
  let filled = Infinity;
  for (const index of order) {
    const weight = weights[index]!;
    if (filled + weight > (capacities[packed.bins.length - 1] ?? 0)) {
      if (weight > (capacities[packed.bins.length] ?? 0)) {
        packed.left.push(index);
        continue;
      }
      packed.bins.push([]);
      filled = 0;
    }
    packed.bins.at(-1)!.push(index);
    filled += weight;
  }
  return packed;
}

function firstFit(
  order: readonly number[],
  weights: readonly number[],
  capacities: readonly number[],
): Packed {
  const packed: Packed = { bins: [], left: [] };
  const filled: number[] = [];
  for (const index of order) {
    const weight = weights[index]!;
    let bin = filled.findIndex((sum, at) => sum + weight <= capacities[at]!);
    if (bin < 0 && weight <= (capacities[filled.length] ?? 0)) {
      bin = filled.push(0) - 1;
      packed.bins.push([]);
    }
    if (bin < 0) packed.left.push(index);
    else {
      packed.bins[bin]!.push(index);
      filled[bin]! += weight;
    }
  }
  return packed;
}

function leastSlack(
  bySize: readonly number[],
  weights: readonly number[],
  capacities: readonly number[],
): Packed {
  const packed: Packed = { bins: [], left: [] };
  let waiting = [...bySize];
  for (const capacity of capacities) {
    const at = waiting.findIndex((index) => weights[index]! <= capacity);
    if (at < 0) break;
    const largest = waiting[at]!;
    const rest = waiting.filter((index) => index !== largest);
    const chosen = new Set([largest, ...fullest(rest, weights, capacity - weights[largest]!)]);
    packed.bins.push(bySize.filter((index) => chosen.has(index)));
    waiting = waiting.filter((index) => !chosen.has(index));
  }
  packed.left = waiting;
  return packed;
}

/** Items whose weights come as near to the room as any choice does: subset sums, large items first. */
function fullest(items: readonly number[], weights: readonly number[], room: number): number[] {
  /** For each sum that can be reached: the item that reached it and the sum before it. */
  const reached: ({ item: number; before: number } | null)[] = new Array(room + 1).fill(null);
  const can = new Uint8Array(room + 1);
  can[0] = 1;
  for (const item of items) {
    if (can[room]) break;
    const weight = weights[item]!;
    for (let sum = room; sum >= weight; sum--) {
      if (can[sum] || !can[sum - weight]) continue;
      can[sum] = 1;
      reached[sum] = { item, before: sum - weight };
    }
  }
  let sum = can.lastIndexOf(1);
  const chosen: number[] = [];
  while (sum > 0) {
    const { item, before } = reached[sum]!;
    chosen.push(item);
    sum = before;
  }
  return chosen;
}
