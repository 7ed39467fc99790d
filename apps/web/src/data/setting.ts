import {
  type Assembly,
  BUILT_IN_HARDWARE,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
  type ColourScheme,
  type Evidence,
  type Hardware,
  type Project,
  type Splice,
} from '@cordel/core';

export interface ProjectSetting {
  project: Project;
  cables: Cable[];
  closures: Closure[];
  schemes: ColourScheme[];
  hardware: Hardware[];
  assemblies: Assembly[];
}

export interface Work {
  closure: Closure;
  splices: Splice[];
  evidence: Evidence[];
}

/** What a project holds before the server has told of it. */
export const newSetting = (project: Project): ProjectSetting => ({
  project,
  cables: [],
  closures: [],
  schemes: [...BUILT_IN_SCHEMES],
  hardware: [...BUILT_IN_HARDWARE],
  assemblies: [],
});

/** Where the records of a project's setting are written to. */
const PATHS = {
  cables: '/api/cables/',
  closures: '/api/closures/',
  schemes: '/api/schemes/',
  hardware: '/api/hardware/',
  assemblies: '/api/assemblies/',
} as const;

type Part = keyof typeof PATHS;
type Item = ProjectSetting[Part][number];

const idOf = (item: Item): string => ('closureId' in item ? item.closureId : item.id);

function belongs(item: Item, setting: ProjectSetting): boolean {
  if ('projectId' in item) return item.projectId === setting.project.id;
  if ('closureId' in item) return setting.closures.some(({ id }) => id === item.closureId);
  return true;
}

/** A project's setting with the record that a write brings at its place. */
export function withWrite(
  setting: ProjectSetting,
  write: { method: string; path: string; body: unknown },
): ProjectSetting {
  if (write.method !== 'PUT') return setting;
  if (write.path === `/api/projects/${setting.project.id}`)
    return { ...setting, project: write.body as Project };
  const part = (Object.keys(PATHS) as Part[]).find(
    (key) =>
      write.path.startsWith(PATHS[key]) && !write.path.slice(PATHS[key].length).includes('/'),
  );
  if (!part) return setting;
  const item = write.body as Item;
  if (!belongs(item, setting)) return setting;
  const list: Item[] = setting[part];
  const known = list.some((entry) => idOf(entry) === idOf(item));
  return {
    ...setting,
    [part]: known
      ? list.map((entry) => (idOf(entry) === idOf(item) ? item : entry))
      : [...list, item],
  };
}
