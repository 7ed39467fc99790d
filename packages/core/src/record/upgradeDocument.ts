import { distanceUnitSchema, unitsOfDistance } from './units.ts';

type Loose = Record<string, unknown>;

const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const looseList = (value: unknown): Loose[] => (Array.isArray(value) ? value.filter(isLoose) : []);

/** Brings a project document of an earlier version up to date; anything else is left for the schema to judge. */
export const upgradeDocument = (document: unknown): unknown =>
  toVersion5(toVersion4(toVersion3(toVersion2(document))));

/** Version 4 knew no links, no reels, and of an end face only whether it passes. */
const toVersion5 = (document: unknown): unknown =>
  isLoose(document) && document.version === 4 ? { ...document, version: 5 } : document;

function toVersion4(document: unknown): unknown {
  if (!isLoose(document) || document.version !== 3) return document;
  return {
    ...document,
    version: 4,
    project: upgradeProject(document.project),
    ...(Array.isArray(document.assemblies) && {
      assemblies: document.assemblies.map(upgradeAssembly),
    }),
  };
}

/**
 * What meets in a closure as it was kept by an earlier version: until version 3 a step of preparation that is done
 * did not say by whom and when.
 */
export function upgradeAssembly(assembly: unknown): unknown {
  if (!isLoose(assembly)) return assembly;
  return { ...assembly, entries: looseList(assembly.entries).map(upgradeEntry) };
}

const upgradeEntry = (entry: Loose): Loose =>
  Array.isArray(entry.done)
    ? {
        ...entry,
        done: entry.done.map((step: unknown) =>
          typeof step === 'string' ? { step, by: null, at: null } : step,
        ),
      }
    : entry;

/** A project as it was stored by an earlier version, in a document or on a device; other values as they are. */
export function upgradeProject(project: unknown): unknown {
  if (!isLoose(project) || !isLoose(project.practice)) return project;
  const { redoEats, ...practice } = project.practice;
  if (redoEats === undefined) return project;
  return { ...project, practice: { ...practice, redoConsumption: redoEats } };
}

/** Version 2 knew the unit of distances only; the others go with it, and times were UTC. */
function toVersion3(document: unknown): unknown {
  if (!isLoose(document) || document.version !== 2 || !isLoose(document.project)) return document;
  const { units } = document.project;
  const distance = distanceUnitSchema.safeParse(isLoose(units) ? units.distance : undefined);
  if (!distance.success) return { ...document, version: 3 };
  return {
    ...document,
    version: 3,
    project: { ...document.project, units: unitsOfDistance(distance.data) },
  };
}

/**
 * Version 1 knew no origins but of gauge readings, and took a list of places with bubbles for all that was
 * looked at. A document with simulated readings becomes one of a practice project.
 */
function toVersion2(document: unknown): unknown {
  if (!isLoose(document) || document.version !== 1 || !isLoose(document.project)) return document;
  if (!Array.isArray(document.closing ?? [])) return document;
  const closing = upgradeClosing(looseList(document.closing));
  const simulated = closing.some(({ origin }) => origin === 'simulated');
  return {
    ...document,
    version: 2,
    project: { ...document.project, practiceOnly: simulated },
    closing,
  };
}

function upgradeClosing(entries: Loose[]): Loose[] {
  /** Rounds at which bubbles were marked. */
  const marked = new Set<unknown>();
  return entries.flatMap((entry): Loose[] => {
    if (entry.kind === 'gauge') {
      const { simulated, ...rest } = entry;
      return [{ ...rest, minute: null, origin: simulated === true ? 'simulated' : 'typed' }];
    }
    if (entry.kind !== 'bubbles') return [entry];
    const places = Array.isArray(entry.places) ? (entry.places as unknown[]) : [];
    const before = marked.has(entry.roundId);
    if (places.length > 0) marked.add(entry.roundId);
    // An empty list after a mark was a mark taken back as often as “no bubbles”: it proves nothing.
    const seen = places.length > 0 ? 'bubbles' : before ? 'not checked' : 'none';
    return [{ ...entry, places: places.length > 0 ? places : ['everywhere'], seen }];
  });
}
