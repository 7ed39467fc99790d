import { GROUP_SIZE } from '../record/cable.ts';
import type { Tray } from '../record/closure.ts';
import type { Method } from '../record/splice.ts';

/** What is put on a tray: one splice, and where its list names it. */
export interface Placed {
  tray: number;
  slot: number;
  method: Method;
  cableA: string;
  fiberA: number;
  cableB: string;
  fiberB: number;
}

/** What is wrong with one placed splice, at the column that is wrong. */
export interface Clash {
  index: number;
  column: 'tray' | 'slot' | 'fiberA' | 'fiberB' | 'method';
  message: string;
}

/**
 * Checks the splices of one closure against each other and against its trays: a fiber spliced twice,
 * a slot used twice, a tray over its capacity.
 * @param name how a splice of the list is called in a message, such as `row 7`
 * @param cableName the name of a cable id
 */
export function findClashes(
  placed: readonly Placed[],
  trays: readonly Tray[],
  name: (index: number) => string,
  cableName: (cable: string) => string,
): Clash[] {
  const clashes: Clash[] = [];
  const fibers = new Map<string, number>();
  const slots = new Map<string, number[]>();
  placed.forEach((splice, index) => {
    for (const side of ['A', 'B'] as const) {
      const cable = splice[`cable${side}`];
      const fiber = splice[`fiber${side}`];
      const key = `${cable} ${fiber}`;
      const before = fibers.get(key);
      if (before === undefined) fibers.set(key, index);
      else {
        clashes.push({
          index,
          column: `fiber${side}`,
          message: `Fiber ${cableName(cable)} ${fiber} is spliced in ${name(before)} already; a fiber has one splice in a closure.`,
        });
      }
    }
    const key = `${splice.tray} ${splice.slot}`;
    const sharing = slots.get(key);
    if (!sharing) slots.set(key, [index]);
    else {
      const message = slotClash(placed[sharing[0]!]!, splice, sharing.length, name(sharing[0]!));
      if (message) clashes.push({ index, column: message.column, message: message.text });
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
  where: string,
): { column: 'slot' | 'method'; text: string } | null {
  const place = `Tray ${splice.tray} slot ${splice.slot}`;
  if (first.method !== splice.method) {
    return {
      column: 'method',
      text: `${place} holds a ${sleeve(first)} sleeve from ${where}; a slot takes one kind.`,
    };
  }
  if (splice.method === 'single') {
    return { column: 'slot', text: `${place} is used in ${where} already; choose a free slot.` };
  }
  if (sharing >= GROUP_SIZE) {
    return {
      column: 'slot',
      text: `${place} holds a whole ribbon of ${GROUP_SIZE} already; choose a free slot.`,
    };
  }
  if (first.cableA !== splice.cableA || first.cableB !== splice.cableB) {
    return {
      column: 'slot',
      text: `${place} holds a ribbon of other cables from ${where}; choose a free slot.`,
    };
  }
  return null;
}

const sleeve = (splice: Placed): string => (splice.method === 'mass' ? 'ribbon' : 'single-fiber');

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
        message: `Tray ${splice.tray} is over its capacity: it holds ${room} ${sleeve(splice)} ${room === 1 ? 'sleeve' : 'sleeves'} and this is number ${count}.`,
      });
    }
  }
  return clashes;
}
