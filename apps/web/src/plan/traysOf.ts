import {
  type ListCable,
  type MakeUp,
  type Placed,
  type Tray,
  placeOf,
  unitSize,
} from '@cordel/core';
import { deviceFiberText } from '@cordel/text/fiber';

/** A tube or ribbon on a tray. */
export interface OnTray {
  tray: number;
  cable: string;
  /** Number of the tube or ribbon. */
  unit: number;
  /** Such as `tube 3`, or `tube 3, 25-28` where that is not all of it. */
  words: string;
  /** What it is spliced to, such as `B 25-36`. */
  onto: string;
  /** First and last slot it takes. */
  slots: [number, number];
  sleeves: number;
}

export interface TrayFill {
  number: number;
  kind: 'single' | 'mass' | null;
  places: number;
  used: number;
  items: OnTray[];
}

/** Such as `25-36`, `5`, or `port 3` of a device. */
function rangeWords(makeUp: MakeUp | undefined, [first, last]: [number, number]): string {
  const nameOf = (fiber: number) => (makeUp && deviceFiberText(makeUp, fiber)) ?? String(fiber);
  return first === last ? nameOf(first) : `${nameOf(first)}-${last}`;
}

/** A whole tube or ribbon by its name alone; of a part of it its fibers are named too. */
function fibersWords(item: OnTray, placed: readonly Placed[], makeUp: MakeUp | undefined): string {
  if (!makeUp) return item.words;
  const size = unitSize(makeUp);
  const fibers = placed
    .filter(
      ({ cableA, fiberA, slot }) =>
        cableA === item.cable &&
        Math.ceil(fiberA / size) === item.unit &&
        slot >= item.slots[0] &&
        slot <= item.slots[1],
    )
    .map(({ fiberA }) => fiberA);
  if (fibers.length === 0 || fibers.length === size) return item.words;
  return `${item.words}, ${rangeWords(makeUp, [Math.min(...fibers), Math.max(...fibers)])}`;
}

/** What lies on each tray, tube by tube, in slot order. */
export function traysOf(
  placed: readonly Placed[],
  trays: readonly Tray[],
  cables: readonly ListCable[],
): TrayFill[] {
  const sizes = new Map(cables.map((cable) => [cable.name, cable.makeUp]));
  return trays.map((tray) => {
    const own = placed
      .filter((splice) => splice.tray === tray.number)
      .sort((a, b) => a.slot - b.slot || a.fiberA - b.fiberA);
    const kind = own[0]?.method ?? null;
    const items: OnTray[] = [];
    let ends: [number, number] = [0, 0];
    for (const splice of own) {
      const makeUp = sizes.get(splice.cableA);
      const unit = makeUp ? Math.ceil(splice.fiberA / unitSize(makeUp)) : 1;
      const last = items.at(-1);
      const onto = splice.cableB;
      if (
        last &&
        last.cable === splice.cableA &&
        last.unit === unit &&
        last.onto.startsWith(`${onto} `)
      ) {
        last.slots[1] = splice.slot;
        ends = [Math.min(ends[0], splice.fiberB), Math.max(ends[1], splice.fiberB)];
      } else {
        ends = [splice.fiberB, splice.fiberB];
        const place = makeUp ? placeOf(makeUp, splice.fiberA).unit : null;
        items.push({
          tray: tray.number,
          cable: splice.cableA,
          unit,
          words: place ? `${place.kind} ${place.number}` : 'drop',
          onto: '',
          slots: [splice.slot, splice.slot],
          sleeves: 0,
        });
      }
      const item = items.at(-1)!;
      item.onto = `${onto} ${rangeWords(sizes.get(onto), ends)}`;
      item.sleeves = item.slots[1] - item.slots[0] + 1;
    }
    for (const item of items) item.words = fibersWords(item, own, sizes.get(item.cable));
    const used = new Set(own.map((splice) => splice.slot)).size;
    const places = kind ? tray[kind] : Math.max(tray.single, tray.mass);
    return { number: tray.number, kind, places, used, items };
  });
}
