import { groupBy } from '../../groupBy.ts';
import { GROUP_SIZE } from '../../record/cable.ts';
import type { Method } from '../../record/splice.ts';
import { unitSize } from '../../fiber/address.ts';
import type { PlannedJoint } from '../expand.ts';
import { fibersASleeveOf } from '../sleeves.ts';
import type { ListCable } from '../spliceList.ts';

/** Joints that share a tube or ribbon on both sides and a method. Its weight is in sleeves. */
export interface Strand {
  /** The tubes or ribbons it belongs to, as `cable` and number. */
  units: [string, string];
  method: Method;
  /** Its sleeves in fiber order: one joint each, or the twelve of a ribbon. */
  sleeves: PlannedJoint[][];
}

/** Names a tube or ribbon over all cables. */
export const unitKey = (cable: string, unit: number): string => `${cable}\n${unit}`;

/** Sorts joints into strands, in the order in which the plan names them. */
export function strandsOf(joints: readonly PlannedJoint[], cables: readonly ListCable[]): Strand[] {
  const sizes = new Map(cables.map((cable) => [cable.name, unitSize(cable.makeUp)]));
  const sizeOf = (cable: string) => sizes.get(cable) ?? GROUP_SIZE;
  const unitOf = (cable: string, fiber: number) => unitKey(cable, Math.ceil(fiber / sizeOf(cable)));
  const sleeveOf = fibersASleeveOf(cables);
  // Pigtails of single ports that a ribbon is fused to are one ribbon, named by their first port.
  const firstPorts = new Map<string, number>();
  const unitsOf = ({ method, cableA, fiberA, cableB, fiberB }: PlannedJoint): [string, string] => {
    const [a, b] = [unitOf(cableA, fiberA), unitOf(cableB, fiberB)];
    const size = sleeveOf(cableA, cableB);
    if (method === 'single' || (sizeOf(cableA) >= size && sizeOf(cableB) >= size)) return [a, b];
    const portsFirst = sizeOf(cableA) < size;
    const ribbon = portsFirst
      ? `${unitKey(cableB, Math.ceil(fiberB / size))}\n${cableA}`
      : `${unitKey(cableA, Math.ceil(fiberA / size))}\n${cableB}`;
    const first = firstPorts.get(ribbon) ?? (portsFirst ? fiberA : fiberB);
    firstPorts.set(ribbon, first);
    return portsFirst ? [unitKey(cableA, first), b] : [a, unitKey(cableB, first)];
  };
  const strands = new Map<string, Strand>();
  for (const joint of joints) {
    const [a, b] = unitsOf(joint);
    const key = `${joint.method}\n${a}\n${b}`;
    let strand = strands.get(key);
    if (!strand) strands.set(key, (strand = { units: [a, b], method: joint.method, sleeves: [] }));
    const last = strand.sleeves.at(-1);
    const size = sleeveOf(joint.cableA, joint.cableB);
    const side = sizeOf(joint.cableA) < size ? 'fiberB' : 'fiberA';
    if (
      joint.method === 'mass' &&
      last &&
      last.length < size &&
      sameRibbon(last[0]!, joint, side, size)
    )
      last.push(joint);
    else strand.sleeves.push([joint]);
  }
  return [...strands.values()];
}

const sameRibbon = (
  one: PlannedJoint,
  other: PlannedJoint,
  side: 'fiberA' | 'fiberB',
  size: number,
): boolean => Math.ceil(one[side] / size) === Math.ceil(other[side] / size);

/** How many sleeves a strand has. */
export const weightOf = (strand: Strand): number => strand.sleeves.length;

/** Strands that hang together by tubes or ribbons: what can only lie on two trays by a split. */
export function bundlesOf(strands: readonly Strand[]): Strand[][] {
  const parent = strands.map((_, index) => index);
  const root = (index: number): number => {
    while (parent[index] !== index) index = parent[index] = parent[parent[index]!]!;
    return index;
  };
  const seen = new Map<string, number>();
  strands.forEach((strand, index) => {
    for (const unit of strand.units) {
      const before = seen.get(unit);
      if (before === undefined) seen.set(unit, index);
      else parent[root(index)] = root(before);
    }
  });
  return [...groupBy(strands.keys(), root).values()].map((bundle) =>
    bundle.map((index) => strands[index]!),
  );
}

/** How often tubes and ribbons are split: for each, the trays it lies on less one. */
export function splitsOf(trays: readonly (readonly Strand[])[]): number {
  const places = new Map<string, Set<number>>();
  trays.forEach((strands, tray) => {
    for (const { units, method } of strands)
      for (const unit of units) {
        const key = `${method}\n${unit}`;
        const on = places.get(key);
        if (on) on.add(tray);
        else places.set(key, new Set([tray]));
      }
  });
  let splits = 0;
  for (const on of places.values()) splits += on.size - 1;
  return splits;
}
