import { type Closure, compareNames } from '@cordel/core';
import { useProjectView } from '@/projects/context';

export const SORTS = ['route', 'name', 'trays', 'hardware'] as const;
export type ClosureSort = (typeof SORTS)[number];

type NameOf = (closureId: string) => string;

/** Closures in the order of the route, by name, with most trays first, or by hardware; those without come first. */
export function sortClosures(
  closures: readonly Closure[],
  sort: ClosureSort,
  hardwareOf: NameOf,
): Closure[] {
  const byRoute = (a: Closure, b: Closure) =>
    (a.distance ?? Infinity) - (b.distance ?? Infinity) || a.ordinal - b.ordinal;
  const by: Record<ClosureSort, (a: Closure, b: Closure) => number> = {
    route: () => 0,
    name: (a, b) => compareNames(a.name, b.name),
    trays: (a, b) => b.trays.length - a.trays.length,
    hardware: (a, b) => compareNames(hardwareOf(a.id), hardwareOf(b.id)),
  };
  // Two without a distance lie in the order in which they were added.
  return [...closures].sort((a, b) => by[sort](a, b) || byRoute(a, b) || a.ordinal - b.ordinal);
}

/** The hardware of each closure by name; blank where none is chosen. */
export function useHardwareNames(): NameOf {
  const { assemblies, hardware } = useProjectView();
  const names = new Map(hardware.map(({ id, name }) => [id, name]));
  const chosen = new Map(assemblies.map(({ closureId, hardwareId }) => [closureId, hardwareId]));
  return (closureId) => names.get(chosen.get(closureId) ?? '') ?? '';
}
