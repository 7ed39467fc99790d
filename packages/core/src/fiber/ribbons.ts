import { GROUP_SIZE, type MakeUp } from '../record/cable.ts';

/** Fibers of a cable that lie in one ribbon, or are ribbonized together where they lie loose. */
export const ribbonSize = (makeUp: MakeUp): number =>
  makeUp.kind === 'ribbon' ? (makeUp.fibersPerRibbon ?? GROUP_SIZE) : GROUP_SIZE;

const greatestCommon = (one: number, other: number): number =>
  other === 0 ? one : greatestCommon(other, one % other);

/**
 * Fibers that are fused at once where two cables are spliced by ribbon: as many as a ribbon has, and where the ribbons
 * of both differ, the parts into which both can be split. A ribbon onto loose fibers asks for its own count.
 */
export function fibersASleeve(a: MakeUp, b: MakeUp): number {
  const sizes = [a, b].filter(({ kind }) => kind === 'ribbon').map(ribbonSize);
  return sizes.length === 0 ? GROUP_SIZE : sizes.reduce(greatestCommon);
}

/** The tube of a ribbon, and its number in that tube; null where ribbons lie in one central tube. */
export function tubeOfRibbon(
  makeUp: MakeUp,
  ribbon: number,
): { tube: number; ribbon: number } | null {
  if (makeUp.kind !== 'ribbon' || makeUp.ribbonsPerTube === undefined) return null;
  const { ribbonsPerTube } = makeUp;
  return {
    tube: Math.ceil(ribbon / ribbonsPerTube),
    ribbon: ((ribbon - 1) % ribbonsPerTube) + 1,
  };
}
