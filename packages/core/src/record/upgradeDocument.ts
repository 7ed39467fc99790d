type Loose = Record<string, unknown>;

const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const looseList = (value: unknown): Loose[] => (Array.isArray(value) ? value.filter(isLoose) : []);

/**
 * Brings a project document of an earlier version up to date; anything else is left for the schema to judge.
 * Version 1 knew no origins but of gauge readings, and took a list of places with bubbles for all that was
 * looked at. A document with simulated readings becomes one of a practice project.
 */
export function upgradeDocument(document: unknown): unknown {
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
