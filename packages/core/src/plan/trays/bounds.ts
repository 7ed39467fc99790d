import { type Strand, weightOf } from './strands.ts';

/**
 * The least number of splits with which a bundle can lie on trays of a capacity, proven from below.
 *
 * Three proofs, the largest counts. A tube of w sleeves lies on ceil(w / capacity) trays at least.
 * A bundle hangs together, so that k trays take k - 1 splits. And where no tube has more than two
 * strands: cut every split tube; what then still hangs together lies on one tray and fits it, so the
 * splits are no fewer than the cuts that leave no part over the capacity.
 */
export function leastSplits(bundle: readonly Strand[], capacity: number): number {
  const units = new Map<string, { weight: number; strands: number[] }>();
  let weight = 0;
  bundle.forEach((strand, index) => {
    weight += weightOf(strand);
    for (const key of new Set(strand.units)) {
      const unit = units.get(key);
      if (!unit) units.set(key, { weight: weightOf(strand), strands: [index] });
      else {
        unit.weight += weightOf(strand);
        unit.strands.push(index);
      }
    }
  });
  let byUnits = 0;
  for (const unit of units.values()) byUnits += Math.ceil(unit.weight / capacity) - 1;
  const byTrays = Math.ceil(weight / capacity) - 1;
  const links = [...units.values()].map((unit) => unit.strands).filter((list) => list.length > 1);
  return Math.max(byUnits, byTrays, leastCuts(bundle, links, capacity));
}

/** Cuts of a chain of strands, each at most the capacity; 0 where the bundle is no chain. */
function leastCuts(bundle: readonly Strand[], links: number[][], capacity: number): number {
  if (links.length !== bundle.length - 1) return 0;
  if (links.some((list) => list.length > 2)) return 0;
  if (bundle.some((strand) => weightOf(strand) > capacity)) return 0;
  const next = bundle.map((): number[] => []);
  for (const [one, other] of links as [number, number][]) {
    next[one]!.push(other);
    next[other]!.push(one);
  }
  if (next.some((list) => list.length > 2)) return 0;
  let at = next.findIndex((list) => list.length < 2);
  let before = -1;
  let cuts = 0;
  let filled = 0;
  while (at >= 0) {
    const weight = weightOf(bundle[at]!);
    if (filled + weight > capacity) {
      cuts++;
      filled = 0;
    }
    filled += weight;
    const follower = next[at]!.find((index) => index !== before) ?? -1;
    before = at;
    at = follower;
  }
  return cuts;
}

/**
 * The least number of trays for whole bundles and for sleeves that may lie anywhere, proven from below:
 * the bound L2 of Martello and Toth, Lower bounds for the bin packing problem, Discrete Applied
 * Mathematics 28, 1990 (from memory), with loose sleeves filling the room beside large bundles first.
 * @param bundles weights of bundles that stay whole, each at most the capacity
 * @param loose sleeves of bundles that are split
 */
export function leastTrays(bundles: readonly number[], loose: number, capacity: number): number {
  const total = bundles.reduce((sum, weight) => sum + weight, loose);
  let most = Math.ceil(total / capacity);
  for (let least = 0; least <= capacity / 2; least++) {
    let large = 0;
    let beside = 0;
    let middle = 0;
    let room = 0;
    let small = 0;
    for (const weight of bundles) {
      if (weight > capacity - least) {
        large++;
        beside += capacity - weight;
      } else if (weight > capacity / 2) {
        middle++;
        room += capacity - weight;
      } else if (weight >= least) small += weight;
    }
    const rest = small + Math.max(0, loose - beside) - room;
    most = Math.max(most, large + middle + Math.max(0, Math.ceil(rest / capacity)));
  }
  return most;
}
