import { keep, keptNow } from '@/data/storage';

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

const KEY = 'cordel.takenAlong';

type All = Record<string, Taken>;

export const readTaken = (text: string): All => {
  try {
    return (JSON.parse(text) ?? {}) as All;
  } catch {
    return {};
  }
};

export const TAKEN_KEY = KEY;

export const takenNow = (projectId: string): Taken | null =>
  readTaken(keptNow(KEY) ?? '{}')[projectId] ?? null;

export function keepTaken(projectId: string, taken: Taken | null): void {
  const { [projectId]: _old, ...others } = readTaken(keptNow(KEY) ?? '{}');
  keep(KEY, JSON.stringify(taken ? { ...others, [projectId]: taken } : others));
}

/** What is on the device stays until the browser lets it go. */
export const leaveBehind = (projectId: string): void => keepTaken(projectId, null);
