import { type MakeUp, fiberCount } from '../../record/cable.ts';
import type { Tray } from '../../record/closure.ts';
import { unitSize } from '../../fiber/address.ts';
import { BUILT_IN_SCHEMES } from '../../fiber/schemes.ts';
import type { PlannedJoint } from '../expand.ts';
import type { ListCable } from '../spliceList.ts';
import type { LayoutTask } from './layout.ts';

/** Numbers from 0 up to 1, the same for the same seed (mulberry32, public domain). */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * A made-up closure of at most `most` fibers: cables of unlike make-ups spliced onto each other in
 * ranges, some with a shift, some single and some by ribbon, on trays with room to spare.
 */
export function layoutInstance(seed: number, most: number): LayoutTask {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const cables: ListCable[] = [];
  const joints: PlannedJoint[] = [];
  const cable = (makeUp: MakeUp): ListCable => {
    const made = { name: `C${cables.length + 1}`, makeUp, scheme: BUILT_IN_SCHEMES[0]! };
    cables.push(made);
    return made;
  };
  const pairs = 1 + Math.floor(random() * 4);
  for (let pair = 0; pair < pairs; pair++) {
    const share = Math.max(12, Math.floor((most / pairs) * (0.3 + 0.7 * random())));
    const ribbon = random() < 0.25;
    const one = cable(makeUpOf(pick(ribbon ? [12] : [4, 6, 8, 12, 12, 12, 24]), share, ribbon));
    const other = cable(makeUpOf(pick(ribbon ? [12] : [6, 12, 12, 12, 24]), share, ribbon));
    const room = Math.min(fiberCount(one.makeUp), fiberCount(other.makeUp));
    const twelves = unitSize(one.makeUp) === 12 && unitSize(other.makeUp) === 12;
    const step = ribbon || !twelves ? 12 : pick([1, 6, 12, 12]);
    const shift = random() < 0.4 ? step * Math.floor((random() * room) / (2 * step)) : 0;
    for (let fiber = 1; fiber + shift <= room; fiber++)
      joints.push({
        cableA: one.name,
        fiberA: fiber + shift,
        legA: null,
        cableB: other.name,
        fiberB: fiber,
        legB: null,
        end: null,
        method: ribbon ? 'mass' : 'single',
        line: pair,
      });
  }
  const single = pick([12, 24, 24, 36, 48]);
  const mass = pick([4, 6, 12]);
  const trays: Tray[] = Array.from({ length: 200 }, (_, index) => ({
    number: index + 1,
    single,
    mass,
  }));
  return { joints, cables, trays, spare: 0, pins: [], fixed: [] };
}

function makeUpOf(perUnit: number, fibers: number, ribbon: boolean): MakeUp {
  const units = Math.max(1, Math.floor(fibers / perUnit));
  if (ribbon) return { kind: 'ribbon', ribbons: units };
  if (perUnit === 24) return { kind: 'grouped-tube', tubes: Math.max(1, units), groupsPerTube: 2 };
  return { kind: 'loose-tube', tubes: units, fibersPerTube: perUnit };
}
