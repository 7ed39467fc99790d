import { type Strand, weightOf } from './strands.ts';

/** What is proven of a bundle on trays of one capacity. */
export interface BundleBound {
  /** No layout splits its tubes and ribbons less often. */
  splits: number;
  /** Weights that lie whole on one tray in every layout of so few splits. */
  whole: number[];
  /** Sleeves that such a layout may divide, and the most trays the bundle then lies on. */
  loose: number;
  parts: number;
  /** No part of it is smaller. */
  leastPart: number;
}

interface Unit {
  weight: number;
  strands: number[];
}

/**
 * Proves from below how often a bundle is split on trays of a capacity.
 *
 * Three proofs, the largest counts. A tube of w sleeves lies on ceil(w / capacity) trays at least. A
 * bundle hangs together, so that k trays take k - 1 splits. And where no tube has more than two
 * strands: cut every split tube; what then still hangs together lies on one tray and fits it, so the
 * splits are no fewer than the cuts that leave no part over the capacity.
 *
 * None of the three counts a tube that has one strand only and fits a tray. To divide that strand
 * would split its own tube on top: where the bound is met, it lies whole.
 */
export function boundBundle(bundle: readonly Strand[], capacity: number): BundleBound {
  const units = unitsOf(bundle);
  const weights = bundle.map(weightOf);
  const weight = weights.reduce((sum, own) => sum + own, 0);
  if (weight <= capacity)
    return { splits: 0, whole: [weight], loose: 0, parts: 1, leastPart: weight };
  let byUnits = 0;
  for (const unit of units) byUnits += Math.ceil(unit.weight / capacity) - 1;
  const byTrays = Math.ceil(weight / capacity) - 1;
  const chain = chainOf(bundle.length, units);
  const cuts = chain && weights.every((own) => own <= capacity) ? chain : null;
  const byCuts = cuts
    ? leastCuts(
        cuts.map((at) => weights[at]!),
        capacity,
      )
    : 0;
  const lone = new Set(
    units.filter((unit) => unit.strands.length === 1).map((unit) => unit.strands[0]!),
  );
  const splits = Math.max(byUnits, byTrays, byCuts);
  if (lone.size === bundle.length && weights.every((own) => own <= capacity)) {
    // All lie whole, on as many trays as that takes; or one is divided, which costs a split more.
    const allWhole = Math.ceil(weight / fullestOf(weights, capacity)) - 1;
    if (allWhole > splits)
      return { splits: splits + 1, whole: [], loose: weight, parts: splits + 2, leastPart: 1 };
  }
  const isWhole = (at: number) =>
    weights[at]! <= capacity &&
    (lone.has(at) ||
      (cuts !== null && splits === byCuts && staysWhole(cuts, at, weights, capacity, byCuts)));
  const bound: BundleBound = { splits, whole: [], loose: 0, parts: splits + 1, leastPart: 1 };
  weights.forEach((own, at) => {
    if (isWhole(at)) bound.whole.push(own);
    else bound.loose += own;
  });
  return bound;
}

function unitsOf(bundle: readonly Strand[]): Unit[] {
  const units = new Map<string, Unit>();
  bundle.forEach((strand, index) => {
    for (const key of new Set(strand.units)) {
      const unit = units.get(key);
      if (!unit) units.set(key, { weight: weightOf(strand), strands: [index] });
      else {
        unit.weight += weightOf(strand);
        unit.strands.push(index);
      }
    }
  });
  return [...units.values()];
}

/** The strands in the order in which tubes link them one to the next; null where they form no chain. */
function chainOf(count: number, units: readonly Unit[]): number[] | null {
  const links = units.map((unit) => unit.strands).filter((list) => list.length > 1);
  if (links.length !== count - 1 || links.some((list) => list.length > 2)) return null;
  const next = Array.from({ length: count }, (): number[] => []);
  for (const [one, other] of links as [number, number][]) {
    next[one]!.push(other);
    next[other]!.push(one);
  }
  if (next.some((list) => list.length > 2)) return null;
  const order = [next.findIndex((list) => list.length < 2)];
  while (order.length < count)
    order.push(next[order.at(-1)!]!.find((index) => index !== order.at(-2))!);
  return order;
}

/** The least cuts of a chain that leave no part over the capacity: a part ends where the next would not fit. */
function leastCuts(chain: readonly number[], capacity: number): number {
  let cuts = 0;
  let filled = 0;
  for (const weight of chain) {
    if (filled + weight > capacity) {
      cuts++;
      filled = 0;
    }
    filled += weight;
  }
  return cuts;
}

/** Whether a strand inside a chain can be divided without a cut more: only where both its links are cut anyway. */
function staysWhole(
  chain: readonly number[],
  at: number,
  weights: readonly number[],
  capacity: number,
  cuts: number,
): boolean {
  const index = chain.indexOf(at);
  const near = [chain[index - 1], at, chain[index + 1]].map((own) => weights[own ?? -1] ?? 0);
  if (near[0]! + near[1]! + near[2]! > 2 * capacity) return true;
  const before = leastCuts(
    chain.slice(0, index).map((own) => weights[own]!),
    capacity,
  );
  const after = leastCuts(
    chain.slice(index + 1).map((own) => weights[own]!),
    capacity,
  );
  return before + after + 2 > cuts;
}

/**
 * The least number of trays for bundles that are split as seldom as proven: the bound L2 of Martello
 * and Toth (Lower bounds and reduction procedures for the bin packing problem, Discrete Applied
 * Mathematics 28, 1990, from memory), with what may be divided added. Beside a large item there is room
 * r for a part of a divided bundle; p parts hold W sleeves, so that at most
 * (p x capacity - W) / (capacity - r) of them are so small. It is calculated with the strands that stay
 * whole as items, with divided bundles as mere weight, and with their parts as items; the largest counts.
 */
export function leastTrays(bounds: readonly BundleBound[], capacity: number): number {
  const divided = bounds.map((bound): BundleBound => {
    if (bound.parts === 1) return bound;
    return { ...bound, whole: [], loose: weightOfBundle(bound) };
  });
  const inParts = bounds.map((bound) => (bound.parts === 1 ? bound : partsOf(bound, capacity)));
  return Math.max(...[bounds, divided, inParts].map((view) => leastOf(view, capacity)));
}

const weightOfBundle = (bound: BundleBound): number =>
  bound.whole.reduce((sum, own) => sum + own, bound.loose);

/**
 * A divided bundle as its parts: where it takes all the parts it may have, each holds at least what
 * the others cannot.
 */
function partsOf(bound: BundleBound, capacity: number): BundleBound {
  const weight = weightOfBundle(bound);
  const fullest = bound.loose > 0 ? capacity : fullestOf(bound.whole, capacity);
  if (Math.ceil(weight / fullest) < bound.parts) return bound;
  const least = weight - (bound.parts - 1) * fullest;
  const whole = new Array<number>(bound.parts).fill(least);
  return { ...bound, whole, loose: weight - bound.parts * least, leastPart: least };
}

/** The largest sum of whole strands that a tray takes. */
function fullestOf(weights: readonly number[], capacity: number): number {
  const can = new Uint8Array(capacity + 1);
  can[0] = 1;
  for (const weight of weights)
    for (let sum = capacity; sum >= weight; sum--) if (can[sum - weight]) can[sum] = 1;
  return can.lastIndexOf(1);
}

function leastOf(bounds: readonly BundleBound[], capacity: number): number {
  const items = bounds.flatMap((bound) => bound.whole);
  const loose = bounds.reduce((sum, bound) => sum + bound.loose, 0);
  const total = items.reduce((sum, weight) => sum + weight, loose);
  let most = Math.ceil(total / capacity);
  for (let least = 0; least <= capacity / 2; least++) {
    let bins = 0;
    let besideLarge = 0;
    let besideMiddle = 0;
    let small = 0;
    let widest = 0;
    const isLarge = (weight: number) => capacity - weight < least || weight > capacity / 2;
    for (const weight of items) {
      const rest = capacity - weight;
      if (isLarge(weight)) {
        bins++;
        widest = Math.max(widest, rest);
        if (rest < least) besideLarge += rest;
        else besideMiddle += rest;
      } else if (weight >= least) small += weight;
    }
    // Small items find room beside middle ones only; parts of divided bundles beside both.
    const parts = Math.min(
      loose,
      besideLarge + besideMiddle,
      partsBeside(bounds, capacity, widest, isLarge),
    );
    const beside = Math.min(
      Math.min(small, besideMiddle) + parts,
      besideMiddle + Math.min(besideLarge, parts),
    );
    most = Math.max(most, bins + Math.ceil((small + loose - beside) / capacity));
  }
  return Math.max(most, ...[1, 2, 3, 4, 5, 6].map((k) => leastByShares(items, capacity, k)));
}

/**
 * Another proof for whole items: evaluated by shares of 1/k that no tray holds more than k of. The
 * function u of Fekete and Schepers, New classes of fast lower bounds for bin packing problems,
 * Mathematical Programming 91, 2001 (from memory).
 */
function leastByShares(items: readonly number[], capacity: number, k: number): number {
  let sum = 0;
  for (const weight of items) {
    const shares = (weight * (k + 1)) / capacity;
    sum += Number.isInteger(shares) ? weight * k : Math.floor(shares) * capacity;
  }
  return Math.ceil(sum / (capacity * k));
}

/**
 * The most sleeves of divided bundles that can lie beside large items: beside its own, and beside
 * others where the room of at most `room` takes a part of it.
 */
function partsBeside(
  bounds: readonly BundleBound[],
  capacity: number,
  room: number,
  isLarge: (weight: number) => boolean,
): number {
  let fit = 0;
  for (const bound of bounds) {
    const { loose, whole, parts, leastPart } = bound;
    if (loose === 0) continue;
    const besideOwn = whole.filter(isLarge).reduce((sum, own) => sum + capacity - own, 0);
    const small = Math.floor((parts * capacity - weightOfBundle(bound)) / (capacity - room));
    fit += Math.min(loose, besideOwn + (room < leastPart ? 0 : small * room));
  }
  return fit;
}
