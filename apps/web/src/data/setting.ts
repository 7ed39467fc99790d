import {
  type Assembly,
  type AssemblyChange,
  BUILT_IN_HARDWARE,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
  type ColourScheme,
  type Evidence,
  type Hardware,
  type Project,
  type Splice,
  changeAssembly,
  emptyAssembly,
} from '@cordel/core';

export interface ProjectSetting {
  project: Project;
  cables: Cable[];
  closures: Closure[];
  schemes: ColourScheme[];
  hardware: Hardware[];
  assemblies: Assembly[];
  /** Ids of records that are out of the way. */
  archived: string[];
}

export interface Work {
  closure: Closure;
  splices: Splice[];
  /** Splices that were cut away. */
  retired: Splice[];
  /** Of both. */
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
  archived: [],
});

/** Where the records of a project's setting are written to. */
const PATHS = {
  cables: '/api/cables/',
  closures: '/api/closures/',
  schemes: '/api/schemes/',
  hardware: '/api/hardware/',
} as const;

const CHANGES = /^\/api\/assemblies\/([^/]+)\/changes$/;

type Part = keyof typeof PATHS;
type Item = ProjectSetting[Part][number];

const belongs = (item: Item, setting: ProjectSetting): boolean =>
  !('projectId' in item) || item.projectId === setting.project.id;

function withChange(
  setting: ProjectSetting,
  closureId: string,
  change: AssemblyChange,
): ProjectSetting {
  if (!setting.closures.some(({ id }) => id === closureId)) return setting;
  const before = setting.assemblies.find((entry) => entry.closureId === closureId);
  const after = changeAssembly(before ?? emptyAssembly(closureId), change);
  const others = setting.assemblies.filter((entry) => entry !== before);
  return { ...setting, assemblies: [...others, after] };
}

const REMOVED = /^\/api\/records\/(cable|closure|hardware|scheme)\/([^/]+)$/;
const ARCHIVED = /^\/api\/records\/[^/]+\/([^/]+)\/archived$/;
const PART_OF: Record<string, Part> = {
  cable: 'cables',
  closure: 'closures',
  hardware: 'hardware',
  scheme: 'schemes',
};

function without(setting: ProjectSetting, kind: string, id: string): ProjectSetting {
  const part = PART_OF[kind]!;
  const list: Item[] = setting[part];
  return { ...setting, [part]: list.filter((item) => item.id !== id) };
}

function withArchived(setting: ProjectSetting, id: string, archived: boolean): ProjectSetting {
  const others = setting.archived.filter((other) => other !== id);
  return { ...setting, archived: archived ? [...others, id] : others };
}

/** A project's setting with the record that a write brings at its place. */
export function withWrite(
  setting: ProjectSetting,
  write: { method: string; path: string; body: unknown },
): ProjectSetting {
  const changed = CHANGES.exec(write.path);
  if (changed) return withChange(setting, changed[1]!, write.body as AssemblyChange);
  const removed = write.method === 'DELETE' && REMOVED.exec(write.path);
  if (removed) return without(setting, removed[1]!, removed[2]!);
  const archived = ARCHIVED.exec(write.path);
  if (archived)
    return withArchived(setting, archived[1]!, (write.body as { archived: boolean }).archived);
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
  const known = list.some((entry) => entry.id === item.id);
  return {
    ...setting,
    [part]: known ? list.map((entry) => (entry.id === item.id ? item : entry)) : [...list, item],
  };
}
