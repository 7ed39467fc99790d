import { keep, keptNow, readKept } from '@/data/storage';

/** What of a project is on the device, for work without a connection. */
export interface Taken {
  /** Closures that were asked for; null for all of them. */
  closureIds: string[] | null;
  /** Whether traces were asked for. */
  hasTraces: boolean;
  /** When it was last read whole; null where it never was. */
  at: string | null;
  /** Of all that was read. */
  bytes: number;
  /** Closures that could not be read. */
  missing: string[];
  /** Rows of the Ledger that are there, of how many. */
  rows: number;
  totalRows: number;
}

export type Wish = Pick<Taken, 'closureIds' | 'hasTraces'>;

export const TAKEN_KEY = 'cordel.takenAlong';

/** What is taken along, by projects. */
export const readTaken = (text: string | null): Record<string, Taken> => readKept(text, {});

export const takenNow = (projectId: string): Taken | null =>
  readTaken(keptNow(TAKEN_KEY))[projectId] ?? null;

export function keepTaken(projectId: string, taken: Taken | null): void {
  const { [projectId]: _old, ...others } = readTaken(keptNow(TAKEN_KEY));
  keep(TAKEN_KEY, JSON.stringify(taken ? { ...others, [projectId]: taken } : others));
}

/** What is on the device stays until the browser lets it go. */
export const leaveBehind = (projectId: string): void => keepTaken(projectId, null);
