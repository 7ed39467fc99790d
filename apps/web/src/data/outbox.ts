import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { v7 as uuid } from 'uuid';
import { NoRoom, Refused, ServerFailed, send } from './api';

/** A write on its way to the server. Its id sorts by when it was made. */
export interface Write {
  id: string;
  method: 'PUT' | 'POST' | 'DELETE';
  path: string;
  body: unknown;
  /** What it is, for the list of what waits: `A 125: 0.02 dB`. */
  what: string;
  /** `set aside`: the server failed over it again and again; it waits for a person. */
  state: 'waiting' | 'refused' | 'set aside';
  /** Why the server refused it, or how it failed. */
  problem?: string;
  /** How often the server failed over it. */
  failures?: number;
  /** True while it is in this page's memory alone: the device's storage is full or forbidden. */
  unsafe?: boolean;
}

export interface OutboxState {
  writes: readonly Write[];
  /** True while the server cannot be reached. */
  offline: boolean;
  /** True while the server answers, and fails. */
  failing: boolean;
  /** Why nothing is taken in for now, where the server's disk is full. */
  noRoom?: string | undefined;
  /** True until what an earlier page left has been read. */
  loading: boolean;
}

interface Schema extends DBSchema {
  writes: { key: string; value: Write };
}

type Outcome = { answer: unknown } | { refused: Refused; writeId: string };

/** How often the server may fail over a write before it is set aside for others to go on. */
export const MOST_FAILURES = 4;

/** Waits between tries while the server cannot be reached, in ms. */
const PAUSES = [1000, 2000, 5000, 10_000];

/**
 * The one way to the server for everything that is written. Writes are kept in IndexedDB, sent one at a
 * time in the order in which they were made, and sent again after a reload or a lost connection; the
 * server takes the same write twice as once. A write that is refused is kept in sight, and the next
 * one goes on.
 */
export class Outbox {
  private state: OutboxState = { writes: [], offline: false, failing: false, loading: true };
  private readonly listeners = new Set<() => void>();
  private readonly waiters = new Map<string, (outcome: Outcome) => void>();
  private readonly database: Promise<IDBPDatabase<Schema> | null>;
  private readonly delivered: (write: Write) => void;
  private readonly channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('cordel-outbox');
  /** Ids of writes that could not be stored. */
  private readonly inMemory = new Set<string>();
  /** Ids of writes that are out of the list, whether storage let them go or not. */
  private readonly gone = new Set<string>();
  private sending = false;
  private failures = 0;
  private timer: ReturnType<typeof setTimeout> | null = null;

  /** @param delivered called when the server has a write, before it leaves the list */
  constructor(delivered: (write: Write) => void) {
    this.delivered = delivered;
    // Opening may throw at once where storage is forbidden.
    this.database = Promise.resolve()
      .then(() =>
        openDB<Schema>('cordel-outbox', 1, {
          upgrade: (db) => void db.createObjectStore('writes', { keyPath: 'id' }),
        }),
      )
      .catch(() => null);
    void this.reload().then(() => this.flush());
    if (this.channel) this.channel.onmessage = () => void this.reload();
    if (typeof window !== 'undefined') {
      window.addEventListener('online', () => void this.flush());
      document.addEventListener('visibilitychange', () => void this.flush());
    }
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): OutboxState => this.state;

  /** Puts a write in. The promise answers when the server has; nobody needs to wait for it. */
  add(write: Pick<Write, 'method' | 'path' | 'body' | 'what'>): Promise<Outcome> {
    const full: Write = { ...write, id: uuid(), state: 'waiting' };
    this.set({ writes: [...this.state.writes, full] });
    const outcome = new Promise<Outcome>((resolve) => this.waiters.set(full.id, resolve));
    void this.store(full).then(() => this.flush());
    return outcome;
  }

  /** Sends a refused write, or one that was set aside, again. */
  async retry(id: string): Promise<void> {
    const write = this.state.writes.find((entry) => entry.id === id);
    if (!write) return;
    await this.change({ ...write, state: 'waiting', problem: undefined, failures: 0 });
    await this.flush();
  }

  /** Takes a write out for good. */
  async discard(id: string): Promise<void> {
    this.gone.add(id);
    this.inMemory.delete(id);
    await (await this.database)?.delete('writes', id).catch(() => {});
    this.set({ writes: this.state.writes.filter((write) => write.id !== id) });
    this.channel?.postMessage('changed');
  }

  /** Sends what waits, oldest first, until nothing does or the server cannot be reached. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      await alone(async () => {
        await this.reload();
        for (let write = this.next(); write; write = this.next()) {
          if (!(await this.deliver(write))) break;
        }
      });
    } finally {
      this.sending = false;
    }
    // One may have come in while the last answer was on its way.
    const { offline, failing } = this.state;
    if (!offline && !failing && this.next()) void this.flush();
  }

  private next(): Write | undefined {
    const aside = this.state.writes.filter((write) => write.state === 'set aside');
    const missing = aside.flatMap(idsMadeBy);
    return this.state.writes.find((write) => write.state === 'waiting' && !names(write, missing));
  }

  private async deliver(write: Write): Promise<boolean> {
    try {
      const answer = await send(write.method, write.path, write.body);
      this.failures = 0;
      this.delivered(write);
      await this.discard(write.id);
      this.set({ offline: false, failing: false, noRoom: undefined });
      this.settle(write.id, { answer });
      return true;
    } catch (error) {
      if (error instanceof ServerFailed) return this.failed(write, error);
      if (error instanceof NoRoom) {
        // No fault of this write: all of them wait.
        this.later({ offline: false, failing: true, noRoom: error.message });
        return false;
      }
      if (!(error instanceof Refused)) {
        this.later({ offline: true });
        return false;
      }
      await this.change({ ...write, state: 'refused', problem: error.message });
      this.set({ offline: false, failing: false });
      this.settle(write.id, { refused: error, writeId: write.id });
      return true;
    }
  }

  /** Tries a write again that the server failed over, and sets it aside in the end: others must go on. */
  private async failed(write: Write, error: ServerFailed): Promise<boolean> {
    const failures = (write.failures ?? 0) + 1;
    if (failures < MOST_FAILURES) {
      await this.change({ ...write, failures });
      this.later({ offline: false, failing: true });
      return false;
    }
    await this.change({ ...write, failures, state: 'set aside', problem: error.message });
    this.failures = 0;
    this.set({ offline: false, failing: false });
    this.settle(write.id, {
      refused: new Refused(error.status, error.message),
      writeId: write.id,
    });
    return true;
  }

  private later(state: Partial<OutboxState>): void {
    this.set(state);
    const pause = PAUSES[Math.min(this.failures++, PAUSES.length - 1)]!;
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), pause);
  }

  private settle(id: string, outcome: Outcome): void {
    this.waiters.get(id)?.(outcome);
    this.waiters.delete(id);
  }

  private async store(write: Write): Promise<void> {
    const database = await this.database;
    const { unsafe: _before, ...kept } = write;
    const stored = await (database?.put('writes', kept) ?? Promise.reject(new Error('no storage')))
      .then(() => true)
      // Full, or forbidden as in private windows of some browsers: the page says so until it is sent.
      .catch(() => false);
    if (stored) this.inMemory.delete(write.id);
    else this.inMemory.add(write.id);
    if (stored === Boolean(write.unsafe))
      this.set({
        writes: this.state.writes.map((entry) =>
          entry.id === write.id ? { ...entry, unsafe: !stored } : entry,
        ),
      });
    this.channel?.postMessage('changed');
  }

  private async change(write: Write): Promise<void> {
    this.set({ writes: this.state.writes.map((entry) => (entry.id === write.id ? write : entry)) });
    await this.store(write);
  }

  private async reload(): Promise<void> {
    const database = await this.database;
    if (!database) return this.set({ loading: false });
    const all = await database.getAll('writes').catch((): Write[] => []);
    // What could not be stored or taken out is as this page has it.
    const stored = all.filter(({ id }) => !this.inMemory.has(id) && !this.gone.has(id));
    const known = new Set(stored.map((write) => write.id));
    // A write of this page may not be stored yet.
    const fresh = this.state.writes.filter(
      (write) =>
        !known.has(write.id) && (this.waiters.has(write.id) || this.inMemory.has(write.id)),
    );
    const writes = [...stored, ...fresh].sort((a, b) => (a.id < b.id ? -1 : 1));
    this.set({ writes, loading: false });
  }

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    this.listeners.forEach((listener) => listener());
  }
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** Names under which a body gives ids to what it brings. */
const OWN_IDS = new Set(['id', 'importId', 'changeId', 'tryId']);

/** Ids of what a write brings into the world: others that name them have to wait for it. */
export function idsMadeBy({
  method,
  path,
  body,
}: Pick<Write, 'method' | 'path' | 'body'>): string[] {
  const ids = new Set<string>();
  const own = method === 'PUT' ? path.match(UUID)?.at(-1) : undefined;
  if (own) ids.add(own);
  const look = (value: unknown): void => {
    if (Array.isArray(value)) return value.forEach(look);
    if (typeof value !== 'object' || value === null) return;
    for (const [key, part] of Object.entries(value)) {
      if (OWN_IDS.has(key) && typeof part === 'string') ids.add(part);
      else if (typeof part === 'object') look(part);
    }
  };
  look(body);
  return [...ids];
}

/** Whether a write names one of the ids. */
function names({ path, body }: Write, ids: readonly string[]): boolean {
  if (ids.length === 0) return false;
  const text = `${path} ${JSON.stringify(body)}`;
  return ids.some((id) => text.includes(id));
}

/** Runs work while no other page of this browser does, where the browser can tell. */
async function alone(work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work();
  await navigator.locks.request('cordel-outbox', work);
}
