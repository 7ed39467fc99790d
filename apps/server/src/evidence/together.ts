import type { Db } from '../db/client.ts';
import { type Received, append, record, refuseStrays } from './queries.ts';

interface Waiting {
  entry: Received;
  resolve(fresh: number): void;
  reject(error: unknown): void;
}

/** Entries in one statement at most. */
const MOST = 200;

/** Single entries that wait for the statement that is under way, to go in together with the next one. */
class Line {
  private waiting: Waiting[] = [];
  private busy = false;

  constructor(private readonly db: Db) {}

  add(entry: Received): Promise<number> {
    return new Promise((resolve, reject) => {
      this.waiting.push({ entry, resolve, reject });
      if (!this.busy) void this.work();
    });
  }

  private async work(): Promise<void> {
    this.busy = true;
    while (this.waiting.length > 0) await this.next();
    this.busy = false;
  }

  private async next(): Promise<void> {
    const [first] = this.waiting;
    const ids = new Set<string>();
    // One statement takes one kind, and an id once.
    const isOfBatch = ({ entry }: Waiting) =>
      entry.type === first!.entry.type &&
      ids.size < MOST &&
      !ids.has(entry.id) &&
      ids.add(entry.id);
    const batch: Waiting[] = [];
    const later: Waiting[] = [];
    for (const one of this.waiting) (isOfBatch(one) ? batch : later).push(one);
    this.waiting = later;
    if (batch.length > 1 && (await this.isTaken(batch))) {
      for (const { resolve } of batch) resolve(1);
      return;
    }
    // By themselves: one that is known, or refused, is nobody else's matter.
    for (const { entry, resolve, reject } of batch)
      await record(this.db, [entry]).then(resolve, reject);
  }

  /** Records a batch; false where not all of it is new and right, and nothing can be said of any. */
  private async isTaken(batch: readonly Waiting[]): Promise<boolean> {
    const entries = batch.map(({ entry }) => entry);
    try {
      await refuseStrays(this.db, entries);
      return (await append(this.db, entries[0]!.type, entries)) === entries.length;
    } catch {
      return false;
    }
  }
}

const lines = new WeakMap<Db, Line>();

/**
 * Records one entry, together with what others record at the same moment: each of them waits for one statement, and
 * not for as many as there are people.
 * @returns 1 where it is new
 */
export function recordTogether(db: Db, entry: Received): Promise<number> {
  const line = lines.get(db) ?? new Line(db);
  lines.set(db, line);
  return line.add(entry);
}
