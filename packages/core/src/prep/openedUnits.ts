import { unitSize } from '../fiber/address.ts';
import type { MakeUp } from '../record/cable.ts';
import type { CableEntry } from '../record/hardware.ts';
import type { Leg, Splice } from '../record/splice.ts';

/** Fibers of a cable that are spliced, as its closure has them. */
type Spliced = Pick<Splice, 'cableA' | 'fiberA' | 'legA' | 'cableB' | 'fiberB' | 'legB'>;

/** Numbers of the fibers of a cable that splices join. */
export const fibersSpliced = (cableId: string, splices: readonly Spliced[]): number[] =>
  splices.flatMap(({ cableA, fiberA, cableB, fiberB }) => [
    ...(cableA === cableId ? [fiberA] : []),
    ...(cableB === cableId ? [fiberB] : []),
  ]);

/**
 * The tubes or ribbons of an express cable that are opened: those that its closure splices, in the way that was
 * chosen for each, cut where nothing was. Where nothing of the cable is spliced yet, those that were chosen.
 */
export function openedUnits(
  entry: CableEntry,
  makeUp: MakeUp,
  splices: readonly Spliced[],
): CableEntry['tubes'] {
  if (entry.kind !== 'express') return [];
  const size = unitSize(makeUp);
  const legs = new Map<number, Set<Leg>>();
  const note = (cable: string, fiber: number, leg: Leg | null) => {
    if (cable !== entry.cableId) return;
    const unit = Math.ceil(fiber / size);
    // Where the plan names no leg, the light comes from the feed side.
    legs.set(unit, (legs.get(unit) ?? new Set()).add(leg ?? 'in'));
  };
  for (const splice of splices) {
    note(splice.cableA, splice.fiberA, splice.legA);
    note(splice.cableB, splice.fiberB, splice.legB);
  }
  if (legs.size === 0) return entry.tubes;
  return [...legs]
    .sort(([a], [b]) => a - b)
    .map(([unit, own]) => ({
      unit,
      way: entry.tubes.find((tube) => tube.unit === unit)?.way ?? 'dedicate',
      leg: own.size === 2 ? 'both' : [...own][0]!,
    }));
}
