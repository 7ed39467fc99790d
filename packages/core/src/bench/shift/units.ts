import { unitSize } from '../../fiber/address.ts';
import type { MakeUp } from '../../record/cable.ts';
import type { Splice } from '../../record/splice.ts';
import type { ShiftUnit } from './shift.ts';

/**
 * What is still to splice, a unit a tube or ribbon of cable A, in the order of the trays. Loose fibers
 * that are spliced by mass are ribbonized first.
 */
export function shiftUnits(
  splices: readonly Splice[],
  cableOf: (id: string) => { name: string; makeUp: MakeUp } | undefined,
): ShiftUnit[] {
  const units = new Map<string, { unit: ShiftUnit; slots: Set<string>; fibers: number }>();
  const ordered = [...splices].sort((a, b) => a.tray - b.tray || a.slot - b.slot);
  for (const splice of ordered) {
    const [a, b] = [cableOf(splice.cableA), cableOf(splice.cableB)];
    if (!a || !b) continue;
    const number = Math.ceil(splice.fiberA / unitSize(a.makeUp));
    const kind = a.makeUp.kind === 'ribbon' ? 'ribbon' : a.makeUp.kind === 'drop' ? '' : 'tube';
    const label = kind === '' ? a.name : `${a.name} ${kind} ${number}`;
    const loose = a.makeUp.kind !== 'ribbon' || b.makeUp.kind !== 'ribbon';
    const way = splice.method === 'single' ? 'single' : loose ? 'ribbonized' : 'ribbon';
    const key = `${label} ${way}`;
    const known = units.get(key) ?? {
      unit: { label, sleeves: 0, fibers: 1, way, ...(!loose && { isRibbon: true as const }) },
      slots: new Set<string>(),
      fibers: 0,
    };
    known.slots.add(`${splice.tray} ${splice.slot}`);
    known.fibers++;
    units.set(key, known);
  }
  return [...units.values()].map(({ unit, slots, fibers }) => ({
    ...unit,
    sleeves: slots.size,
    fibers: Math.ceil(fibers / slots.size),
  }));
}
