import type { LinkEntryOf } from '../record/link.ts';
import type { LinkState } from './linkState.ts';

type Seen = LinkEntryOf<'continuity'>;

/** How far the checking of a cable's fibers by light is. */
export interface ContinuityList {
  /** The fiber to be checked next: the first that nobody has checked; null where all are. */
  next: number | null;
  right: number;
  /** Fibers through which no light came, or it came out elsewhere. */
  wrong: Seen[];
  /** Pairs of fibers whose light comes out at each other's port. */
  swapped: [number, number][];
}

/**
 * Where two people with two phones are: both see the same fiber, one puts light into it and the other looks for it.
 * @param fibers numbers of the cable's fibers that are to be checked, in their order
 * @param after the fiber that was just checked or passed over: the next one is looked for behind it first
 */
export function continuityList(
  fibers: readonly number[],
  stateOf: (fiber: number) => LinkState | undefined,
  after = 0,
): ContinuityList {
  const seen = new Map(fibers.map((fiber) => [fiber, stateOf(fiber)?.continuity ?? null]));
  const open = fibers.filter((fiber) => seen.get(fiber) === null);
  const known = [...seen.values()].filter((one) => one !== null);
  const outOf = (fiber: number) => seen.get(fiber)?.seenFiber ?? null;
  return {
    next: open.find((fiber) => fiber > after) ?? open[0] ?? null,
    right: known.filter((one) => one.seen === 'here').length,
    wrong: known.filter((one) => one.seen !== 'here'),
    swapped: fibers.flatMap((fiber): [number, number][] => {
      const other = outOf(fiber);
      return other !== null && fiber < other && outOf(other) === fiber ? [[fiber, other]] : [];
    }),
  };
}
