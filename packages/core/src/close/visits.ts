import type { ClosingEntry, EntryOf } from '../record/closing.ts';
import type { Evidence } from '../record/evidence.ts';
import { type KeptCutOver, cutOversOf } from './cutOver.ts';
import { spliceStage } from '../loss/spliceStage.ts';
import { sealPorts } from '../prep/seal.ts';
import type { ClosingView } from './pointTypes.ts';

/** Who was at a closure when, and what was done there. */
export interface VisitRecord {
  /** Null for what was done before anybody said that they were there. */
  visit: EntryOf<'visit'> | null;
  from: string;
  to: string;
  /** Everyone who recorded anything. */
  people: string[];
  /** What was recorded, by kind. */
  spliced: number;
  measured: number;
  looked: number;
  rounds: number;
  /** Splices that were removed. */
  retired: number;
  cutOvers: KeptCutOver[];
  /** Its entries of closing. */
  closing: ClosingEntry[];
  signatures: EntryOf<'sign'>[];
  /** What was done, in the crew's own words. */
  done: string[];
}

type Happening = { at: string; by: string; entry: ClosingEntry | Evidence };

/** The visits of a closure, the first one first. What was recorded belongs to the visit that was open then. */
export function visitsOf(
  entries: readonly ClosingEntry[],
  evidence: readonly Evidence[],
): VisitRecord[] {
  const all: Happening[] = [...entries, ...evidence].map((entry) => ({
    at: entry.at,
    by: entry.by,
    entry,
  }));
  // Sorting keeps the order of what happened in one moment.
  all.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const visits: { visit: EntryOf<'visit'> | null; list: Happening[] }[] = [];
  for (const happening of all) {
    const { entry } = happening;
    const opens = 'kind' in entry && entry.kind === 'visit' ? entry : null;
    if (opens || visits.length === 0) visits.push({ visit: opens, list: [] });
    visits.at(-1)!.list.push(happening);
  }
  return visits.map(({ visit, list }) => summed(visit, list));
}

function summed(visit: EntryOf<'visit'> | null, list: readonly Happening[]): VisitRecord {
  const closing = list.flatMap(({ entry }) =>
    'kind' in entry && !('type' in entry) ? [entry] : [],
  );
  const evidence = list.flatMap(({ entry }) => ('type' in entry ? [entry] : []));
  return {
    visit,
    from: list[0]!.at,
    to: list.at(-1)!.at,
    people: [...new Set([...(visit?.crew ?? []), ...list.map(({ by }) => by)])],
    spliced: evidence.filter(({ type }) => type === 'attempt').length,
    measured: evidence.filter(({ type }) => type === 'reading').length,
    looked: closing.filter(({ kind }) => kind === 'point').length,
    rounds: closing.filter(({ kind }) => kind === 'round').length,
    retired: evidence.filter((entry) => entry.type === 'ruling' && entry.kind === 'retire').length,
    cutOvers: cutOversOf(closing),
    closing,
    signatures: closing.filter((entry) => entry.kind === 'sign'),
    done: closing.flatMap((entry) => (entry.kind === 'leave' ? [entry.done] : [])),
  };
}

/** What a closure that is opened again must be opened for: nothing else is touched. */
export interface ReentryScope {
  /** Trays with a splice that is to be made or made again. */
  trays: number[];
  /** Ports of cables that have such a splice and none that lies already: those come in new. */
  ports: string[];
  /** Splices to make, and to redo. */
  fresh: number;
  redo: number;
  /** Splices that stay as they are. */
  left: number;
}

export function reentryScope(view: ClosingView): ReentryScope {
  const due = view.splices.filter(({ judged }) =>
    ['open', 'skipped', 'redo'].includes(spliceStage(judged)),
  );
  const lying = new Set(
    view.splices
      .filter(({ at }) => at !== null)
      .flatMap(({ splice }) => [splice.cableA, splice.cableB]),
  );
  const coming = new Set(
    due.flatMap(({ splice }) => [splice.cableA, splice.cableB]).filter((id) => !lying.has(id)),
  );
  const ports = view.hardware
    ? sealPorts(view.hardware, view.assembly.entries).ports.filter((use) =>
        use.entries.some(({ entry }) => coming.has(entry.cableId)),
      )
    : [];
  return {
    trays: [...new Set(due.map(({ splice }) => splice.tray))].sort((a, b) => a - b),
    ports: ports.map(({ port }) => port.name),
    fresh: due.filter(({ judged }) => !judged.redo).length,
    redo: due.filter(({ judged }) => judged.redo).length,
    left: view.splices.length - due.length,
  };
}

/** What to do when a closure is opened again, in its order. Common practice, no source. */
export const REENTRY_STEPS = [
  'releasePressure',
  'compareRecord',
  'openNamedOnly',
  'stretchGel',
  'closeAsNew',
] as const;
export type ReentryStep = (typeof REENTRY_STEPS)[number];
