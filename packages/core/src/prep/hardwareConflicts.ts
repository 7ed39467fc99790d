import type { Tray } from '../record/closure.ts';
import type { Hardware } from '../record/hardware.ts';
import { AT_PORT, type Method } from '../record/splice.ts';

/** Where hardware, a closure's trays and its plan contradict each other. */
export type HardwareConflict =
  | { code: 'tooManyTrays'; hardware: string; trays: number; maximum: number }
  /** Trays are set up with more slots than a tray of this hardware has. */
  | {
      code: 'tooManySlots';
      hardware: string;
      sleeve: Method;
      slots: number;
      maximum: number;
      trays: number;
    }
  /** The plan lays sleeves on trays that have no slot of their kind. */
  | { code: 'noSlots'; hardware: string; sleeve: Method; sleeves: number };

/** A splice in its place. */
type Placed = { tray: number; slot: number; method: Method };

/**
 * Holds a closure's trays and its plan against the hardware that it is built with.
 * @param placed splices of the closure; several in one slot are one sleeve
 */
export function hardwareConflicts(
  hardware: Pick<Hardware, 'name' | 'trays'>,
  trays: readonly Tray[],
  placed: readonly Placed[],
): HardwareConflict[] {
  const conflicts: HardwareConflict[] = [];
  const { name, trays: holds } = hardware;
  if (trays.length > holds.most)
    conflicts.push({
      code: 'tooManyTrays',
      hardware: name,
      trays: trays.length,
      maximum: holds.most,
    });
  for (const sleeve of ['single', 'mass'] as const) {
    const sleeves = new Set(
      placed
        .filter((splice) => splice.method === sleeve && splice.tray !== AT_PORT)
        .map(({ tray, slot }) => `${tray}.${slot}`),
    ).size;
    if (holds[sleeve] === 0 && sleeves > 0) {
      conflicts.push({ code: 'noSlots', hardware: name, sleeve, sleeves });
      continue;
    }
    const larger = trays.filter((tray) => tray[sleeve] > holds[sleeve]);
    if (larger.length > 0)
      conflicts.push({
        code: 'tooManySlots',
        hardware: name,
        sleeve,
        slots: Math.max(...larger.map((tray) => tray[sleeve])),
        maximum: holds[sleeve],
        trays: larger.length,
      });
  }
  return conflicts;
}
