import type { Closure } from '../record/closure.ts';
import type { Project } from '../record/project.ts';
import { lineLength } from './geodesic.ts';

/** What is said of a closure beside where it stands. */
export interface ClosureProperties {
  verdict: string;
  splices: number;
  done: number;
  due: number;
  /** Of its figures: simulated ones. */
  simulated: number;
  worstDb: number | null;
  meanDb: number | null;
  signed: boolean;
}

/**
 * A project's route and closures as a feature collection. Closures whose place is not known are features
 * without a geometry.
 * Source: RFC 7946.
 */
export function writeGeoJson(
  project: Pick<Project, 'name' | 'route' | 'practiceOnly'>,
  closures: readonly Closure[],
  said: (closure: Closure) => ClosureProperties,
): object {
  const names = new Map(closures.map(({ id, name }) => [id, name]));
  return {
    type: 'FeatureCollection',
    features: [
      ...project.route.map(({ name, points }, index) => ({
        type: 'Feature',
        id: `line-${index + 1}`,
        geometry: { type: 'LineString', coordinates: points },
        properties: {
          kind: 'route',
          name,
          project: project.name,
          practiceOnly: project.practiceOnly,
          lengthM: Math.round(lineLength(points) * 10) / 10,
        },
      })),
      ...closures.map((closure) => ({
        type: 'Feature',
        id: closure.id,
        geometry: closure.position && { type: 'Point', coordinates: closure.position },
        properties: {
          kind: 'closure',
          practiceOnly: project.practiceOnly,
          name: closure.name,
          distanceM: closure.distance === null ? null : closure.distance / 10_000,
          branchOf: closure.branchOf === null ? null : (names.get(closure.branchOf) ?? null),
          ...said(closure),
        },
      })),
    ],
  };
}
