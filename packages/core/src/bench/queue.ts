import { AT_PORT, type Method } from '../record/splice.ts';

/** What lies in one slot of a tray and is fused in one arc: one fiber, or the fibers of a ribbon. */
export interface Sleeve<T> {
  /** Stable within a closure: tray and slot. */
  key: string;
  tray: number;
  slot: number;
  method: Method;
  splices: T[];
}

/** Groups a closure's splices by sleeve, in the order in which a tray is filled; ends at their ports come last. */
export function sleevesOf<T extends { tray: number; slot: number; method: Method; fiberA: number }>(
  splices: readonly T[],
): Sleeve<T>[] {
  const sleeves = new Map<string, Sleeve<T>>();
  for (const splice of splices) {
    const key = `${splice.tray}.${splice.slot}`;
    const sleeve = sleeves.get(key);
    if (sleeve) sleeve.splices.push(splice);
    else
      sleeves.set(key, {
        key,
        tray: splice.tray,
        slot: splice.slot,
        method: splice.method,
        splices: [splice],
      });
  }
  const list = [...sleeves.values()];
  for (const sleeve of list) sleeve.splices.sort((a, b) => a.fiberA - b.fiberA);
  return list.sort((a, b) => turnOf(a) - turnOf(b) || a.slot - b.slot);
}

/** Trays in their order, then what is made at its port. */
const turnOf = ({ tray }: { tray: number }): number =>
  tray === AT_PORT ? Number.MAX_SAFE_INTEGER : tray;

/**
 * The next sleeve that waits, going on from the one in hand and round again to those passed over.
 * @param after key of the sleeve in hand, or null to start at the first
 */
export function nextSleeve<T>(
  sleeves: readonly Sleeve<T>[],
  after: string | null,
  waits: (sleeve: Sleeve<T>) => boolean,
): Sleeve<T> | null {
  const start = sleeves.findIndex((sleeve) => sleeve.key === after) + 1;
  const turned = [...sleeves.slice(start), ...sleeves.slice(0, start)];
  return turned.find(waits) ?? null;
}
