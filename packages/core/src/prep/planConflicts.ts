import { unitSize } from '../fiber/address.ts';
import type { MakeUp } from '../record/cable.ts';
import type { CableEntry } from '../record/hardware.ts';
import { runsOf, wordsOf } from '../plan/expand.ts';

/** Where what is said of a cable at its closure and the closure's plan contradict each other. */
export type PlanConflict =
  /** It was said to end here, and fibers of it pass. */
  | { code: 'passesButEnds'; cable: string; runs: string }
  /** The tube is cut, and fibers in it pass: a window leaves them whole. */
  | { code: 'passesInCutTube'; unit: number; runs: string };

/**
 * Holds how a cable enters against its plan.
 * @param tubes that are opened here, by the plan's splices
 * @param passing fibers that the plan lets pass through
 */
export function planConflicts(
  entry: Pick<CableEntry, 'kind'>,
  cable: { name: string; makeUp: MakeUp },
  tubes: CableEntry['tubes'],
  passing: readonly number[],
): PlanConflict[] {
  if (passing.length === 0) return [];
  const runs = (fibers: readonly number[]) => wordsOf(runsOf(fibers));
  if (entry.kind !== 'express')
    return [{ code: 'passesButEnds', cable: cable.name, runs: runs(passing) }];
  const size = unitSize(cable.makeUp);
  return tubes
    .filter(({ way }) => way === 'dedicate')
    .flatMap(({ unit }): PlanConflict[] => {
      const inside = passing.filter((fiber) => Math.ceil(fiber / size) === unit);
      return inside.length > 0 ? [{ code: 'passesInCutTube', unit, runs: runs(inside) }] : [];
    });
}
