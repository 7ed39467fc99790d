import { fibersASleeve } from '../fiber/ribbons.ts';
import { GROUP_SIZE, type MakeUp } from '../record/cable.ts';

/** How many fibers are fused at once between two cables, by their names. */
export function fibersASleeveOf(
  cables: readonly { name: string; makeUp: MakeUp }[],
): (cableA: string, cableB: string) => number {
  const makeUps = new Map(cables.map(({ name, makeUp }) => [name, makeUp]));
  return (cableA, cableB) => {
    const [a, b] = [makeUps.get(cableA), makeUps.get(cableB)];
    return a && b ? fibersASleeve(a, b) : GROUP_SIZE;
  };
}
