import { v7 as uuid } from 'uuid';
import type { Right, Told, Upload } from '@cordel/core';
import type { Api } from '../api/api.ts';
import { NoRoom, Refused, ServerFailed, SignedOut } from '../api/problems.ts';
import type { Command } from '../commands/command.ts';
import { type CarriedFile, FileStore, base64Of, isInPieces, sendPieces } from './files.ts';
import { SentStore } from './sent.ts';
import { WriteStore } from './store.ts';
import { type Write, byPlace, idsMadeBy, namesAny } from './write.ts';

export interface OutboxState {
  writes: readonly Write[];
  /** True while the server cannot be reached. */
  offline: boolean;
  /** True while the server answers, and fails. */
  failing: boolean;
  /** Names of people whose writes wait for them to sign in. */
  awaited?: readonly string[] | undefined;
  /** Why nothing is taken in for now, where the server's disk is full. */
  noRoom?: Told | undefined;
  /** How far the file is that is being sent, in bytes. */
  sending?: { writeId: string; sent: number; size: number } | undefined;
  /** The right that the last write lacked, which was not taken; until another is made or it is read. */
  lacked?: Right | undefined;
  /** True until what an earlier page left has been read. */
  loading: boolean;
}

/** What became of a write: the server's answer, or why it was refused. */
export type Outcome<Answer = unknown> = { answer: Answer } | { refused: Refused; writeId: string };

export interface OutboxOptions {
  api: Api;
  /** Commands by their names. */
  commands: ReadonlyMap<string, Command>;
  /** Who works on the device now. */
  person: () => string;
  /** The account of whoever works on the device; null where nobody signs in. */
  personId?: () => string | null;
  /** The server as it is asked with an account. */
  apiAs?: (personId: string) => Api;
  /** Which ids of entries the server has from whoever made them. */
  known?: (ids: string[]) => Promise<string[]>;
  /** Lets go what the device can do without, when it has no room for a write. */
  makeRoom?: () => Promise<void>;
  /** The right that whoever works on the device lacks for a write; null where nothing is lacking. */
  lacks?: (command: Command, input: unknown) => Right | null;
  /** Called when the server wants an account's person before it takes their writes. */
  onAwaited?: (personId: string) => void;
  /** Called when the server has a write, before it leaves the list. */
  onDelivered: (write: Write) => void;
}

/** How often the server may fail over a write before it is set aside for others to go on. */
export const MOST_FAILURES = 4;

/** How often the pieces of a file are sent again that the server does not have whole. */
const FILE_ROUNDS = 3;

/** How many writes are sent as one at most. */
const MOST_TOGETHER = 100;

/** What is made before the page has read what an earlier one left comes behind all of it. */
const LATER = 1e12;

/** Waits between tries while the server cannot be reached, in ms. */
const PAUSES_MS = [1000, 2000, 5000, 10_000];

/** RFC 9110, section 15.5.4. */
const FORBIDDEN = 403;

const LOCK = 'cordel-outbox';

/**
 * The one way to the server for everything that is written. Commands are kept on the device, sent one at a
 * time in the order in which they were made, and sent again after a reload or a lost connection; the
 * server takes the same one twice as once. One that is refused is kept in sight, and the next goes on.
 */
export class Outbox {
  private state: OutboxState = { writes: [], offline: false, failing: false, loading: true };
  private readonly options: OutboxOptions;
  private readonly listeners = new Set<() => void>();
  private readonly waiters = new Map<string, (outcome: Outcome) => void>();
  private readonly store = new WriteStore();
  private readonly sent = new SentStore();
  private readonly files = new FileStore();
  private readonly channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LOCK);
  /** Ids of writes that could not be stored. */
  private readonly inMemory = new Set<string>();
  /** Ids of writes that are out of the list, whether storage let them go or not. */
  private readonly gone = new Set<string>();
  /** Accounts that have to sign in before their writes are sent. */
  private readonly signedOut = new Set<string>();
  private isClosed = false;
  /** What an earlier page left has been read. */
  private readonly read: Promise<void>;
  private sending = false;
  private failures = 0;
  /** Ids of writes that go by themselves: together with others they were refused. */
  private readonly sentAlone = new Set<string>();
  private timer: ReturnType<typeof setTimeout> | null = null;

  constructor(options: OutboxOptions) {
    this.options = options;
    this.read = this.reload();
    void this.begin();
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

  /**
   * Puts a command in. The promise answers when the server has; nobody needs to wait for it.
   * @param files files that its input names
   */
  add<Input, Answer>(
    command: Command<Input, Answer>,
    input: Input,
    label: string,
    files: readonly CarriedFile[] = [],
  ): Promise<Outcome<Answer>> {
    const lacked = this.options.lacks?.(command as Command, input) ?? null;
    if (lacked !== null) {
      // It could only be refused later, out of sight: it is not taken, and who may is said at once.
      this.set({ lacked });
      const refused = new Refused(FORBIDDEN, { code: 'rightMissing', right: lacked });
      return Promise.resolve({ refused, writeId: '' });
    }
    const write: Write<Input> = {
      id: uuid(),
      place: this.nextPlace(),
      command: command.name,
      input,
      person: this.options.person(),
      personId: this.options.personId?.() ?? undefined,
      madeAt: new Date().toISOString(),
      label,
      state: 'waiting',
      ...(files.length > 0 && {
        files: files.map(({ digest, size }) => ({ digest, size })),
      }),
    };
    this.set({ writes: [...this.state.writes, write], lacked: undefined });
    const outcome = new Promise<Outcome>((resolve) => this.waiters.set(write.id, resolve));
    files.forEach((file) => this.files.hold(file));
    void this.keep(write).then(() => this.flush());
    return outcome as Promise<Outcome<Answer>>;
  }

  /**
   * Takes in what waits on another device: it is sent from here too, and the server takes it once.
   * @returns how many of the writes are new here
   */
  async importWork(writes: readonly Write[], files: readonly CarriedFile[]): Promise<number> {
    const here = new Set(this.state.writes.map(({ id }) => id));
    const fresh = writes.filter(({ id }) => !here.has(id) && !this.gone.has(id));
    files.forEach((file) => this.files.hold(file));
    await this.read;
    let place = this.nextPlace();
    const placed = fresh.toSorted(byPlace).map((write) => ({ ...write, place: place++ }));
    for (const write of placed) {
      // Until it is stored it is nowhere but here.
      this.inMemory.add(write.id);
      await this.keep(write);
    }
    await this.reload();
    const mine = placed.filter(({ id }) => !this.state.writes.some((write) => write.id === id));
    if (mine.length > 0) this.set({ writes: [...this.state.writes, ...mine] });
    void this.flush();
    return fresh.length;
  }

  /**
   * Sends again what was recorded here in the last days: the server came back from a backup that may be older. What it
   * has still changes nothing.
   * @returns how many writes are sent again
   */
  async sendAgain(): Promise<number> {
    const writes = await this.sent.all();
    for (const { id } of writes) this.gone.delete(id);
    return this.importWork(writes, []);
  }

  /** Sends a refused write, or one that was set aside, again. */
  async retry(id: string): Promise<void> {
    const write = this.state.writes.find((entry) => entry.id === id);
    if (!write) return;
    await this.change({ ...write, state: 'waiting', problem: undefined, failures: 0 });
    await this.flush();
  }

  /** What was lacking has been read. */
  forgetLacked(): void {
    this.set({ lacked: undefined });
  }

  /** A file that a waiting write carries; null where the device does not have it any more. */
  file = (digest: string): Promise<Uint8Array | null> => this.files.get(digest);

  /** Takes a write out for good. */
  async discard(id: string): Promise<void> {
    await this.remove(this.state.writes.filter((write) => write.id === id));
  }

  private async remove(writes: readonly Write[]): Promise<void> {
    const ids = new Set(writes.map(({ id }) => id));
    const files = writes.flatMap((write) => write.files ?? []);
    for (const id of ids) {
      this.gone.add(id);
      this.inMemory.delete(id);
      this.sentAlone.delete(id);
    }
    await this.store.delete([...ids]);
    this.set({ writes: this.state.writes.filter(({ id }) => !ids.has(id)) });
    const needed = new Set(this.state.writes.flatMap((write) => write.files ?? []).map(digestOf));
    for (const digest of files.map(digestOf))
      if (!needed.has(digest)) await this.files.delete(digest);
    this.tellOthers();
  }

  /** Sends what waits, oldest first, until nothing does or the server cannot be reached. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      await alone(async () => {
        await this.reload();
        for (let write = this.next(); write; write = this.next()) {
          const several = this.behind(write);
          const goesOn =
            several.length > 1 ? await this.deliverAll(several) : await this.deliver(write);
          if (!goesOn) break;
        }
      });
    } finally {
      this.sending = false;
    }
    // One may have come in while the last answer was on its way.
    const { offline, failing } = this.state;
    if (!offline && !failing && this.next()) void this.flush();
  }

  /** Somebody has signed in: what waited for them is sent. */
  async signedIn(): Promise<void> {
    this.signedOut.clear();
    this.sentAlone.clear();
    this.set({ awaited: undefined });
    await this.flush();
  }

  /** Ends it: nothing is sent any more, and what waits stays stored. */
  close(): void {
    this.isClosed = true;
    this.channel?.close();
    if (this.timer) clearTimeout(this.timer);
    this.sending = true;
  }

  private async begin(): Promise<void> {
    await this.read;
    await alone(() => this.store.takeOver());
    void this.sent.prune().catch(() => undefined);
    await this.reload();
    await this.flush();
  }

  private nextPlace = (): number =>
    Math.max(this.state.loading ? LATER : 0, ...this.state.writes.map(({ place }) => place ?? 0)) +
    1;

  private next(): Write | undefined {
    const held = this.state.writes.filter(
      ({ state, unknown, personId }) =>
        state === 'set aside' || unknown || this.signedOut.has(personId ?? ''),
    );
    const missing = held.flatMap(idsMadeBy);
    const isNext = (write: Write, needed: readonly string[]): boolean =>
      write.state === 'waiting' &&
      !write.unknown &&
      !this.signedOut.has(write.personId ?? '') &&
      !namesAny(write, needed);
    const first = this.state.writes.find((write) => isNext(write, missing));
    if (!first?.files) return first;
    // Records do not wait for large files, but for those that they need.
    const coming = this.state.writes.filter(({ files }) => files).flatMap(idsMadeBy);
    return this.state.writes.find((write) => isNext(write, [...missing, ...coming])) ?? first;
  }

  /** A write and those right behind it that can be sent as one with it. */
  private behind(first: Write): Write[] {
    const { writes } = this.state;
    const command = this.options.commands.get(first.command);
    if (!command?.merge) return [first];
    const start = writes.indexOf(first);
    const isWith = (write: Write): boolean =>
      write.command === first.command &&
      write.personId === first.personId &&
      write.state === 'waiting' &&
      !write.unknown &&
      !write.files &&
      !this.sentAlone.has(write.id) &&
      command.schema.safeParse(write.input).success;
    const end = writes.findIndex((write, index) => index >= start && !isWith(write));
    const several = writes.slice(start, end < 0 ? undefined : end).slice(0, MOST_TOGETHER);
    const isTooMuch = () => command.merge!(several.map(({ input }) => input)) === null;
    while (several.length > 1 && isTooMuch()) several.length = Math.ceil(several.length / 2);
    return several;
  }

  /** Sends several writes as one. Where they are refused together, each goes by itself. */
  private async deliverAll(writes: readonly Write[]): Promise<boolean> {
    const [first] = writes;
    const command = this.options.commands.get(first!.command)!;
    const input = command.merge!(writes.map((write) => write.input));
    try {
      const answer = await this.send({ ...first!, input });
      this.failures = 0;
      this.options.onDelivered({ ...first!, input });
      // Nobody waits for it: storage may answer late, or never.
      if (command.isRecord) void this.sent.keep(writes);
      await this.remove(writes);
      this.set({ offline: false, failing: false, noRoom: undefined });
      for (const { id } of writes) this.settle(id, { answer });
      return true;
    } catch (error) {
      if (error instanceof Refused || error instanceof ServerFailed || error instanceof SignedOut) {
        for (const { id } of writes) this.sentAlone.add(id);
        return true;
      }
      if (error instanceof NoRoom)
        this.later({ offline: false, failing: true, noRoom: error.told });
      else this.later({ offline: true });
      return false;
    }
  }

  private async deliver(write: Write): Promise<boolean> {
    try {
      if (!(await this.sendFiles(write))) return true;
      const answer = await this.send(write);
      this.failures = 0;
      this.options.onDelivered(write);
      if (this.options.commands.get(write.command)?.isRecord) void this.sent.keep([write]);
      await this.remove([write]);
      this.set({ offline: false, failing: false, noRoom: undefined });
      this.settle(write.id, { answer });
      return true;
    } catch (error) {
      if (error instanceof ServerFailed) return this.failed(write, error);
      if (error instanceof SignedOut) {
        // Others' go on: of several people who share a device one may be signed out.
        this.signedOut.add(write.personId ?? '');
        await this.dropSent(write.personId);
        const names = this.state.writes
          .filter(({ state }) => state === 'waiting')
          .filter(({ personId }) => this.signedOut.has(personId ?? ''))
          .map(({ person }) => person);
        const awaited = names.length > 0 ? [...new Set(names)] : undefined;
        this.set({ awaited, offline: false, failing: false });
        if (write.personId !== undefined) this.options.onAwaited?.(write.personId);
        return true;
      }
      if (error instanceof NoRoom) {
        // No fault of this write: all of them wait.
        this.later({ offline: false, failing: true, noRoom: error.told });
        return false;
      }
      if (!(error instanceof Refused)) {
        this.later({ offline: true });
        return false;
      }
      const rounds = (write.failures ?? 0) + 1;
      if (error.code === 'fileIncomplete' && rounds < FILE_ROUNDS) {
        // Some of it was let go meanwhile: another device sent the same file, or it waited too long.
        await this.change({ ...write, failures: rounds });
        return true;
      }
      await this.change({ ...write, state: 'refused', problem: error.told });
      this.set({ offline: false, failing: false });
      this.settle(write.id, { refused: error, writeId: write.id });
      return true;
    }
  }

  /** @throws Refused where an older page stored what this one's command does not take */
  private async send({ personId, command: name, input, files = [] }: Write): Promise<unknown> {
    const command = this.options.commands.get(name)!;
    const read = command.schema.safeParse(input);
    if (!read.success)
      throw new Refused(422, {
        code: 'outdatedWrite',
        place: read.error.issues[0]!.path.join('.'),
      });
    const small = new Map<string, string>();
    for (const file of files)
      if (!isInPieces(file)) small.set(file.digest, base64Of(await this.carried(file)));
    return command.send(this.apiOf(personId), read.data, (file) => {
      const bytes = small.get(file.digest);
      return bytes === undefined ? { file } : { bytes };
    });
  }

  /** Takes out what another device gave on, where the server has it from whoever made it. */
  private async dropSent(personId: string | undefined): Promise<void> {
    const passed = this.state.writes.filter(
      (write) => write.transferredBy !== undefined && write.personId === personId,
    );
    const ids = passed.flatMap(idsMadeBy);
    if (ids.length === 0 || !this.options.known) return;
    const known = new Set(await this.options.known(ids).catch(() => []));
    for (const write of passed) {
      const own = idsMadeBy(write);
      if (own.length > 0 && own.every((id) => known.has(id))) await this.discard(write.id);
    }
  }

  private apiOf(personId: string | undefined): Api {
    const { api, apiAs } = this.options;
    return personId !== undefined && apiAs ? apiAs(personId) : api;
  }

  /** @throws Refused where the device does not have it any more */
  private async carried({ digest }: Upload): Promise<Uint8Array> {
    const bytes = await this.files.get(digest);
    if (!bytes) throw new Refused(410, { code: 'fileMissing' });
    return bytes;
  }

  /**
   * Sends what goes in pieces before a write itself.
   * @returns whether all of it is there; otherwise something smaller goes first
   */
  private async sendFiles(write: Write): Promise<boolean> {
    for (const file of write.files ?? []) {
      if (!isInPieces(file)) continue;
      const isSent = await sendPieces(
        this.apiOf(write.personId),
        file,
        await this.carried(file),
        (sent) => {
          this.set({ sending: { writeId: write.id, sent, size: file.size }, offline: false });
          return this.next()?.id === write.id;
        },
      ).finally(() => this.set({ sending: undefined }));
      if (!isSent) return false;
    }
    return true;
  }

  /** Tries a write again that the server failed over, and sets it aside in the end: others must go on. */
  private async failed(write: Write, error: ServerFailed): Promise<boolean> {
    const failures = (write.failures ?? 0) + 1;
    if (failures < MOST_FAILURES) {
      this.later({ offline: false, failing: true });
      await this.change({ ...write, failures });
      return false;
    }
    await this.change({ ...write, failures, state: 'set aside', problem: error.told });
    this.failures = 0;
    this.set({ offline: false, failing: false });
    this.settle(write.id, {
      refused: new Refused(error.status, error.told),
      writeId: write.id,
    });
    return true;
  }

  private later(state: Partial<OutboxState>): void {
    this.set(state);
    const pause = PAUSES_MS[Math.min(this.failures++, PAUSES_MS.length - 1)]!;
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), pause);
  }

  private settle(id: string, outcome: Outcome): void {
    this.waiters.get(id)?.(outcome);
    this.waiters.delete(id);
  }

  private async keep(write: Write): Promise<void> {
    const { unsafe: _before, unknown: _known, ...kept } = write;
    // Full, or forbidden as in private windows of some browsers: the page says so until it is sent.
    const stored = (await this.isKept(kept)) || (await this.isKeptInRoom(kept));
    if (stored) this.inMemory.delete(write.id);
    else this.inMemory.add(write.id);
    if (stored === Boolean(write.unsafe))
      this.set({
        writes: this.state.writes.map((entry) =>
          entry.id === write.id ? { ...entry, unsafe: !stored } : entry,
        ),
      });
    this.tellOthers();
  }

  private async isKept(write: Write): Promise<boolean> {
    for (const file of write.files ?? []) if (!(await this.files.keep(file))) return false;
    return this.store.put(write);
  }

  private async isKeptInRoom(write: Write): Promise<boolean> {
    if (!this.options.makeRoom) return false;
    await this.options.makeRoom();
    return this.isKept(write);
  }

  /** Other tabs of the browser show the same list. */
  private tellOthers(): void {
    if (!this.isClosed) this.channel?.postMessage('changed');
  }

  private async change(write: Write): Promise<void> {
    this.set({ writes: this.state.writes.map((entry) => (entry.id === write.id ? write : entry)) });
    await this.keep(write);
  }

  private async reload(): Promise<void> {
    const all = await this.store.all();
    if (!all) return this.set({ loading: false });
    // What could not be stored or taken out is as this page has it.
    const stored = all
      .filter(({ id }) => !this.inMemory.has(id) && !this.gone.has(id))
      .map((write) => {
        const command = this.options.commands.get(write.command);
        if (!command) return { ...write, unknown: true };
        return command.upgrade ? { ...write, input: command.upgrade(write.input) } : write;
      });
    const known = new Set(stored.map((write) => write.id));
    // A write of this page may not be stored yet.
    const fresh = this.state.writes.filter(
      (write) =>
        !known.has(write.id) && (this.waiters.has(write.id) || this.inMemory.has(write.id)),
    );
    this.set({ writes: [...stored, ...fresh].sort(byPlace), loading: false });
  }

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    this.listeners.forEach((listener) => listener());
  }
}

const digestOf = ({ digest }: Upload): string => digest;

/** Runs work while no other page of this browser does, where the browser can tell. */
async function alone(work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work();
  await navigator.locks.request(LOCK, work);
}
