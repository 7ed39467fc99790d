import type { Tray, TrayCapacity } from '../../record/closure.ts';
import type { Pin } from '../../record/plan.ts';
import type { Method } from '../../record/splice.ts';
import type { PlannedJoint } from '../expand.ts';
import type { Placed, SleeveType } from '../occupancy.ts';
import type { ListCable } from '../spliceList.ts';
import { boundBundle, leastTrays } from './bounds.ts';
import { pieceWeight, piecesOf } from './pieces.ts';
import { pack } from './pack.ts';
import { type Strand, bundlesOf, splitsOf, strandsOf, unitKey, weightOf } from './strands.ts';

export interface LayoutTask {
  joints: readonly PlannedJoint[];
  cables: readonly ListCable[];
  trays: readonly Tray[];
  /** Places to keep free on each tray in use, where that costs neither a split nor a tray. */
  spare: number;
  pins: readonly Pin[];
  /** Splices that stay where they are: they are made already. */
  fixed: readonly Placed[];
}

/** A tube or ribbon that lies on several trays, by its cable and number. */
export interface SplitUnit {
  unit: string;
  trays: readonly number[];
}

/** Why a layout is as it is. */
export type LayoutReason =
  | { code: 'noneSplit'; sleeve: SleeveType }
  | { code: 'split'; sleeve: SleeveType; units: readonly SplitUnit[] }
  /** Spare places a tray that were asked for, and those that cost neither a split nor a tray. */
  | { code: 'spareLess'; asked: number; kept: number };

export interface Layout {
  placed: (PlannedJoint & Placed)[];
  /** Joints for which no tray has room. */
  unplaced: PlannedJoint[];
  /** Splits of tubes and ribbons over trays, and how few they can be at best. */
  splits: number;
  leastSplits: number;
  /** Trays in use, and how few they can be at best with that many splits. */
  trays: number;
  leastTrays: number;
  /** Spare places that every tray in use keeps. */
  spare: number;
  /** Why it is laid out so, in sentences. */
  why: LayoutReason[];
  /** Sleeves that no tray has a place for, a kind each; none where all have one. */
  noRoom: NoRoom[];
}

export interface NoRoom {
  method: Method;
  sleeves: number;
}

/** Trays of one kind of sleeve: strands on each, and what found no room. */
interface Laid {
  trays: { number: number; strands: Strand[] }[];
  left: Strand[];
}

/**
 * Lays tubes and ribbons out on trays. In this order: no tray over its capacity or with the wrong kind
 * of sleeve; as few tubes and ribbons split as it finds; as few trays; the spare places asked for;
 * neighbors beside each other. Bounds proven from below stand beside the result.
 */
export function layOutTrays(task: LayoutTask): Layout {
  const made = new Set(task.fixed.map(fibersKey));
  const free = task.joints.filter((joint) => !made.has(fibersKey(joint)));
  const strands = strandsOf(free, task.cables);
  const layout: Layout = {
    placed: [],
    unplaced: [],
    splits: 0,
    leastSplits: 0,
    trays: 0,
    leastTrays: 0,
    spare: task.spare,
    why: [],
    noRoom: [],
  };
  const taken = new Map<number, Method>(task.fixed.map((splice) => [splice.tray, splice.method]));
  // Ribbons first: trays that take them are fewer.
  for (const method of ['mass', 'single'] as const) {
    const own = strands.filter((strand) => strand.method === method);
    const pinned = task.pins.filter((pin) => own.some((strand) => holds(strand, pin)));
    if (own.length === 0) continue;
    const trays = task.trays.filter(
      (tray) => tray[method] > 0 && (taken.get(tray.number) ?? method) === method,
    );
    const used = usedPlaces(task.fixed, method);
    const { laid, spare } = bestOf(own, trays, method, task.spare, pinned, used);
    for (const tray of laid.trays) taken.set(tray.number, method);
    place(laid, used, layout);
    bound(layout, own, laid, trays, method);
    layout.spare = Math.min(layout.spare, spare);
    explain(layout, task, laid, method, spare);
  }
  return layout;
}

/** Keeps the spare places asked for where that costs neither a split nor a tray; else as many as go. */
function bestOf(
  strands: readonly Strand[],
  trays: readonly Tray[],
  method: Method,
  spare: number,
  pins: readonly Pin[],
  used: ReadonlyMap<number, Set<number>>,
): { laid: Laid; spare: number } {
  const full = layOut(strands, trays, method, 0, pins, used);
  for (let kept = spare; kept > 0; kept--) {
    const laid = layOut(strands, trays, method, kept, pins, used);
    const same =
      laid.left.length === full.left.length &&
      splitsOf(laid.trays.map((tray) => tray.strands)) <=
        splitsOf(full.trays.map((tray) => tray.strands)) &&
      laid.trays.length <= full.trays.length;
    if (same) return { laid, spare: kept };
  }
  return { laid: full, spare: 0 };
}

function layOut(
  strands: readonly Strand[],
  trays: readonly Tray[],
  method: Method,
  spare: number,
  pins: readonly Pin[],
  used: ReadonlyMap<number, Set<number>>,
): Laid {
  const room = new Map(
    trays.map((tray) => [tray.number, tray[method] - (used.get(tray.number)?.size ?? 0) - spare]),
  );
  const on = new Map<number, Strand[]>();
  const free = layPins(strands, pins, room, on);
  const open = trays
    .filter((tray) => room.get(tray.number)! > 0)
    .sort((a, b) => room.get(b.number)! - room.get(a.number)! || a.number - b.number);
  const capacities = open.map((tray) => room.get(tray.number)!);
  const most = capacities[0] ?? 0;
  const pieces = most === 0 ? [] : bundlesOf(free).flatMap((bundle) => piecesOf(bundle, most));
  const { bins, left } = pack(pieces.map(pieceWeight), capacities);
  const filled = neighbourly(bins.map((bin) => bin.flatMap((index) => pieces[index]!)));
  // Among trays of the same room the order is free: the lowest fibers get the lowest number.
  const numbers = open.slice(0, bins.length);
  const byRoom = filled.map(({ strands: own, bin }) => ({ own, room: capacities[bin]! }));
  const leftOver = most === 0 ? [...free] : left.flatMap((index) => pieces[index]!);
  for (const { own, room: wanted } of byRoom) {
    const at = numbers.findIndex((tray) => room.get(tray.number) === wanted);
    const [tray] = numbers.splice(at, 1);
    on.set(tray!.number, [...(on.get(tray!.number) ?? []), ...own]);
  }
  const still = squeeze(leftOver, trays, method, on, used);
  return {
    trays: trays
      .filter((tray) => on.has(tray.number))
      .map((tray) => ({ number: tray.number, strands: on.get(tray.number)! })),
    left: still,
  };
}

/** Puts pinned tubes and ribbons on their trays as far as they fit; gives what is free to go anywhere. */
function layPins(
  strands: readonly Strand[],
  pins: readonly Pin[],
  room: Map<number, number>,
  on: Map<number, Strand[]>,
): Strand[] {
  const free: Strand[] = [];
  for (const strand of strands) {
    const pin = pins.find((entry) => holds(strand, entry));
    const places = pin ? Math.max(0, room.get(pin.tray) ?? 0) : 0;
    const fits = Math.min(places, weightOf(strand));
    if (pin && fits > 0) {
      on.set(pin.tray, [
        ...(on.get(pin.tray) ?? []),
        { ...strand, sleeves: strand.sleeves.slice(0, fits) },
      ]);
      room.set(pin.tray, places - fits);
    }
    if (fits < weightOf(strand)) free.push({ ...strand, sleeves: strand.sleeves.slice(fits) });
  }
  return free;
}

/** Sorts filled bins by their lowest fiber. */
function neighbourly(bins: Strand[][]): { strands: Strand[]; bin: number }[] {
  return bins
    .map((strands, bin) => ({ strands: [...strands].sort(byFiber), bin }))
    .sort((a, b) => byFiber(a.strands[0]!, b.strands[0]!));
}

const byFiber = (a: Strand, b: Strand): number => {
  const [one, other] = [a.sleeves[0]![0]!, b.sleeves[0]![0]!];
  return (
    one.line - other.line || one.fiberA - other.fiberA || one.cableA.localeCompare(other.cableA)
  );
};

/** Where whole pieces find no tray, fills what room is left sleeve by sleeve: a split is better than none. */
function squeeze(
  strands: readonly Strand[],
  trays: readonly Tray[],
  method: Method,
  on: Map<number, Strand[]>,
  used: ReadonlyMap<number, Set<number>>,
): Strand[] {
  const gaps = trays
    .map((tray) => {
      const own = on.get(tray.number) ?? [];
      const filled = own.reduce((sum, strand) => sum + weightOf(strand), 0);
      return {
        number: tray.number,
        room: tray[method] - filled - (used.get(tray.number)?.size ?? 0),
      };
    })
    .sort((a, b) => b.room - a.room);
  const left: Strand[] = [];
  for (const strand of strands) {
    let rest = strand.sleeves;
    for (const gap of gaps) {
      if (rest.length === 0) break;
      if (gap.room <= 0) continue;
      const part = rest.slice(0, gap.room);
      on.set(gap.number, [...(on.get(gap.number) ?? []), { ...strand, sleeves: part }]);
      gap.room -= part.length;
      rest = rest.slice(part.length);
    }
    if (rest.length > 0) left.push({ ...strand, sleeves: rest });
  }
  return left;
}

function place(laid: Laid, used: ReadonlyMap<number, Set<number>>, layout: Layout): void {
  for (const { number, strands } of laid.trays) {
    const taken = new Set(used.get(number));
    let slot = 0;
    for (const strand of [...strands].sort(byFiber)) {
      for (const sleeve of strand.sleeves) {
        do slot++;
        while (taken.has(slot));
        for (const joint of sleeve) layout.placed.push({ ...joint, tray: number, slot });
      }
    }
  }
  layout.unplaced.push(...laid.left.flatMap((strand) => strand.sleeves.flat()));
}

function bound(
  layout: Layout,
  strands: readonly Strand[],
  laid: Laid,
  trays: readonly Tray[],
  method: Method,
): void {
  const capacity = Math.max(0, ...trays.map((tray) => tray[method]));
  const splits = splitsOf(laid.trays.map((tray) => tray.strands));
  layout.splits += splits;
  layout.trays += laid.trays.length;
  if (capacity === 0) return;
  const bounds = bundlesOf(strands).map((bundle) => boundBundle(bundle, capacity));
  const sleeves = strands.reduce((sum, strand) => sum + weightOf(strand), 0);
  const fewest = bounds.reduce((sum, own) => sum + own.splits, 0);
  const least = leastTrays(bounds, capacity);
  // One more split saves one tray at most: its parts could lie whole on a tray of their own.
  const leastHere = fewest + Math.max(0, least - trays.length);
  layout.leastSplits += leastHere;
  layout.leastTrays += Math.max(
    Math.ceil(sleeves / capacity),
    least - Math.max(0, splits - fewest),
  );
}

function explain(
  layout: Layout,
  task: LayoutTask,
  laid: Laid,
  method: Method,
  spare: number,
): void {
  const sleeve = sleeveOf(method);
  const split = splitUnits(laid);
  layout.why.push(
    split.length === 0 ? { code: 'noneSplit', sleeve } : { code: 'split', sleeve, units: split },
  );
  if (spare < task.spare) layout.why.push({ code: 'spareLess', asked: task.spare, kept: spare });
  const left = laid.left.reduce((sum, strand) => sum + weightOf(strand), 0);
  if (left > 0) layout.noRoom.push({ method, sleeves: left });
}

/** What is missing where sleeves have no room. */
export type NoRoomMessage =
  | { code: 'noTrayTakes'; sleeve: SleeveType }
  | { code: 'noRoom'; sleeve: SleeveType; sleeves: number; trays: number };

const sleeveOf = (method: Method): SleeveType => (method === 'mass' ? 'ribbon' : 'single');

export function noRoomMessage({ method, sleeves }: NoRoom, trays: readonly Tray[]): NoRoomMessage {
  const sleeve = sleeveOf(method);
  const size = Math.max(0, ...trays.map((tray) => tray[method]));
  return size === 0
    ? { code: 'noTrayTakes', sleeve }
    : { code: 'noRoom', sleeve, sleeves, trays: Math.ceil(sleeves / size) };
}

/**
 * A closure's trays with new ones that hold what had no room: as large as its largest of the kind, numbered on.
 * @param usual capacity of a tray where none of the closure takes the kind
 */
export function withTraysFor(
  { method, sleeves }: NoRoom,
  trays: readonly Tray[],
  usual: TrayCapacity,
): Tray[] {
  const largest = [...trays].sort((a, b) => b[method] - a[method])[0];
  const { single, mass } = largest && largest[method] > 0 ? largest : usual;
  const size = method === 'mass' ? mass : single;
  if (size === 0) return [...trays];
  const last = Math.max(0, ...trays.map((tray) => tray.number));
  const added = Array.from({ length: Math.ceil(sleeves / size) }, (_, index) => ({
    number: last + index + 1,
    single,
    mass,
  }));
  return [...trays, ...added];
}

/** Tubes and ribbons that lie on more than one tray. */
function splitUnits(laid: Laid): SplitUnit[] {
  const places = new Map<string, number[]>();
  for (const { number, strands } of laid.trays)
    for (const unit of new Set(strands.flatMap((strand) => strand.units)))
      places.set(unit, [...(places.get(unit) ?? []), number]);
  return [...places]
    .filter(([, trays]) => trays.length > 1)
    .map(([unit, trays]) => ({ unit: unit.replace('\n', ' '), trays }));
}

const holds = (strand: Strand, pin: Pin): boolean =>
  strand.units.includes(unitKey(pin.cable, pin.unit));

const fibersKey = (splice: Omit<Placed, 'tray' | 'slot' | 'method'>): string =>
  [
    ...[splice.cableA, splice.fiberA, splice.legA],
    ...[splice.cableB, splice.fiberB, splice.legB],
  ].join('\n');

function usedPlaces(fixed: readonly Placed[], method: Method): Map<number, Set<number>> {
  const used = new Map<number, Set<number>>();
  for (const splice of fixed) {
    if (splice.method !== method) continue;
    const slots = used.get(splice.tray);
    if (slots) slots.add(splice.slot);
    else used.set(splice.tray, new Set([splice.slot]));
  }
  return used;
}
