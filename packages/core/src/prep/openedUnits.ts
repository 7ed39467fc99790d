import { unitSize } from '../fiber/address.ts';
import type { MakeUp } from '../record/cable.ts';
import type { CableEntry } from '../record/hardware.ts';
import type { Splice } from '../record/splice.ts';

/** Fibers of a cable that are spliced, as its closure has them. */
type Spliced = Pick<Splice, 'cableA' | 'fiberA' | 'cableB' | 'fiberB'>;

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
  const units = new Set(
    fibersSpliced(entry.cableId, splices).map((fiber) => Math.ceil(fiber / size)),
  );
  if (units.size === 0) return entry.tubes;
  return [...units]
    .sort((a, b) => a - b)
    .map((unit) => entry.tubes.find((tube) => tube.unit === unit) ?? { unit, way: 'dedicate' });
}
