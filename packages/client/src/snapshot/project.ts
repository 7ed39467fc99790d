import {
  type Assembly,
  BUILT_IN_HARDWARE,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
  type ColourScheme,
  type Hardware,
  type Project,
} from '@cordel/core';
import { COMMANDS } from '../commands/index.ts';
import type { Write } from '../outbox/write.ts';
import { withWrites } from './withWrites.ts';

/** A project with its records, as the server answers with it. */
export interface ProjectSnapshot {
  project: Project;
  cables: readonly Cable[];
  closures: readonly Closure[];
  schemes: readonly ColourScheme[];
  hardware: readonly Hardware[];
  assemblies: readonly Assembly[];
  /** Ids of records that are out of the way. */
  archived: readonly string[];
}

/** What a project holds before the server has told of it. */
export const newProjectSnapshot = (project: Project): ProjectSnapshot => ({
  project,
  cables: [],
  closures: [],
  schemes: BUILT_IN_SCHEMES,
  hardware: BUILT_IN_HARDWARE,
  assemblies: [],
  archived: [],
});

/** A project with what waits to be sent; the same object where nothing of it waits. */
export function projectWithWrites(
  held: ProjectSnapshot,
  writes: readonly Write[],
): ProjectSnapshot {
  const base = {
    ...held,
    projectId: held.project.id,
    projects: [{ archived: false, ...held.project }],
    archived: held.archived.map((id) => ({ id })),
  };
  const { projectId: _id, projects, archived, ...rest } = withWrites(base, writes, COMMANDS);
  if (projects === base.projects && archived === base.archived && isSame(rest, held)) return held;
  const [first] = projects;
  if (!first) return held;
  const { archived: _known, ...project } = first;
  return { ...rest, project, archived: archived.map(({ id }) => id) };
}

const isSame = (a: object, b: object): boolean =>
  Object.entries(a).every(([key, value]) => value === b[key as keyof typeof b]);
