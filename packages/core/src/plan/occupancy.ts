import type { Tray } from '../record/closure.ts';
import type { FiberPairs } from '../record/message.ts';
import { AT_PORT, type EndWay, LEGS, type Leg, type Method, liesOnTray } from '../record/splice.ts';

/** What is put on a tray: one splice, and where its list names it. */
export interface Placed {
  tray: number;
  slot: number;
  method: Method;
  cableA: string;
  fiberA: number;
  legA: Leg | null;
  cableB: string;
  fiberB: number;
  legB: Leg | null;
  end: EndWay | null;
}

/** Where the splice is that another clashes with: in a row of a list, in the project, or by its fibers. */
export type ClashPlace =
  { code: 'row'; row: number } | { code: 'project' } | { code: 'splice'; fibers: FiberPairs };

/** Kinds of sleeves. */
export type SleeveType = 'ribbon' | 'single';

/** What is wrong with a splice's place. */
export type ClashMessage =
  /** A splice without a tray: only what is made at its port has none. */
  | { code: 'noTray'; fibers: FiberPairs }
  | { code: 'fiberSpliced'; cable: string; fiber: number; in: ClashPlace }
  | { code: 'otherSleeve'; tray: number; slot: number; sleeve: SleeveType; in: ClashPlace }
  | { code: 'slotUsed' | 'otherRibbon'; tray: number; slot: number; in: ClashPlace }
  | { code: 'ribbonFull'; tray: number; slot: number; fibers: number }
  /** This one is `count` in a tray that holds `room`. */
  | { code: 'trayFull'; tray: number; room: number; sleeve: SleeveType; count: number };

/** What is wrong with one placed splice, at the column that is wrong. */
export interface Clash {
  index: number;
  column: 'tray' | 'slot' | 'fiberA' | 'fiberB' | 'method';
  message: ClashMessage;
}

/** The fibers of a splice whose cables are called by name. */
export const pairOf = ({ cableA, fiberA, cableB, fiberB }: Placed): FiberPairs => ({
  pairs: [{ cableA, fiberA, cableB, fiberB }],
});

/**
 * Checks the splices of one closure against each other and against its trays: a fiber spliced twice,
 * a slot used twice, a tray over its capacity.
 * @param place where a splice of the list is
 * @param cableName the name of a cable id
 * @param fibersOf how many fibers a sleeve of two cables holds, by id
 */
export function findClashes(
  placed: readonly Placed[],
  trays: readonly Tray[],
  place: (index: number) => ClashPlace,
  cableName: (cable: string) => string,
  fibersOf: (cableA: string, cableB: string) => number,
): Clash[] {
  const clashes: Clash[] = [];
  const fibers = new Map<string, number>();
  const slots = new Map<string, number[]>();
  placed.forEach((splice, index) => {
    for (const side of ['A', 'B'] as const) {
      const cable = splice[`cable${side}`];
      const fiber = splice[`fiber${side}`];
      const own = splice[`leg${side}`];
      const keys = (own ? [own] : LEGS).map((leg) => `${cable} ${fiber} ${leg}`);
      const before = keys.map((key) => fibers.get(key)).find((other) => other !== undefined);
      if (before === undefined) for (const key of keys) fibers.set(key, index);
      else {
        clashes.push({
          index,
          column: `fiber${side}`,
          message: { code: 'fiberSpliced', cable: cableName(cable), fiber, in: place(before) },
        });
      }
    }
    if (splice.tray === AT_PORT) {
      if (liesOnTray(splice.end))
        clashes.push({
          index,
          column: 'tray',
          message: { code: 'noTray', fibers: pairOf(splice) },
        });
      return;
    }
    const key = `${splice.tray} ${splice.slot}`;
    const sharing = slots.get(key);
    if (!sharing) slots.set(key, [index]);
    else {
      const most = fibersOf(splice.cableA, splice.cableB);
      const first = sharing[0]!;
      const clash = slotClash(placed[first]!, splice, sharing.length, most, place(first));
      if (clash) clashes.push({ index, ...clash });
      sharing.push(index);
    }
  });
  clashes.push(...overCapacity(placed, trays, slots));
  return clashes;
}

function slotClash(
  first: Placed,
  splice: Placed,
  sharing: number,
  most: number,
  where: ClashPlace,
): Pick<Clash, 'column' | 'message'> | null {
  const { tray, slot } = splice;
  if (first.method !== splice.method) {
    return {
      column: 'method',
      message: { code: 'otherSleeve', tray, slot, sleeve: sleeve(first), in: where },
    };
  }
  if (splice.method === 'single') {
    return { column: 'slot', message: { code: 'slotUsed', tray, slot, in: where } };
  }
  if (sharing >= most) {
    return { column: 'slot', message: { code: 'ribbonFull', tray, slot, fibers: most } };
  }
  if (
    first.cableA !== splice.cableA ||
    first.cableB !== splice.cableB ||
    first.legA !== splice.legA ||
    first.legB !== splice.legB
  ) {
    return { column: 'slot', message: { code: 'otherRibbon', tray, slot, in: where } };
  }
  return null;
}

const sleeve = (splice: Placed): SleeveType => (splice.method === 'mass' ? 'ribbon' : 'single');

function overCapacity(
  placed: readonly Placed[],
  trays: readonly Tray[],
  slots: Map<string, number[]>,
): Clash[] {
  const clashes: Clash[] = [];
  const used = new Map<string, number>();
  for (const [, sharing] of slots) {
    const index = sharing[0]!;
    const splice = placed[index]!;
    const tray = trays.find((candidate) => candidate.number === splice.tray);
    if (!tray) continue;
    const room = tray[splice.method];
    const count = (used.get(`${splice.tray} ${splice.method}`) ?? 0) + 1;
    used.set(`${splice.tray} ${splice.method}`, count);
    if (count > room) {
      clashes.push({
        index,
        column: 'tray',
        message: { code: 'trayFull', tray: splice.tray, room, sleeve: sleeve(splice), count },
      });
    }
  }
  return clashes;
}
