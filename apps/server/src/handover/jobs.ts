import { existsSync } from 'node:fs';
import { mkdir, readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { eq } from 'drizzle-orm';
import type { Db } from '../db/client.ts';
import { type PackageState, packages } from '../db/schema.ts';
import { countRows, feed } from './feed.ts';
import { wordsOf } from './make/words.ts';
import type { MakerAnswer, PackageMessage } from './messages.ts';
import type { PackageStore } from './store.ts';

/** Between two signs of life of a job, and how long without one until it counts as cut off. */
const BEAT_MS = 500;
const CUT_OFF_MS = 20_000;
const CUT_OFF_WORDS = 'The server was stopped in the middle: make it again.';

type PackageRow = typeof packages.$inferSelect;

/** Names of what is not a whole package yet. */
const UNFINISHED = /\.making(\.zip)?$/;

/**
 * Removes what a server left that was stopped in the middle of packages.
 * @param ageMs how old it is at least: another server on the same folder may be at work
 */
export async function removeUnfinished(folder: string, ageMs: number): Promise<void> {
  for (const name of await readdir(folder)) {
    const path = join(folder, name);
    if (!UNFINISHED.test(name) || Date.now() - (await stat(path)).mtimeMs < ageMs) continue;
    await rm(path, { recursive: true, force: true });
  }
}

/** How many are made at once; each takes a thread and some hundred megabytes. */
const MOST_AT_ONCE = 2;
let beingMade = 0;
const line: (() => void)[] = [];

function endTurn(): void {
  const next = line.shift();
  if (next) next();
  else beingMade--;
}

/** Waits until it is a package's turn. {@link endTurn} ends it. */
async function turn(interrupted: Promise<never>): Promise<void> {
  if (beingMade < MOST_AT_ONCE) {
    beingMade++;
    return;
  }
  let first = (): void => undefined;
  const isFirst = new Promise<void>((resolve) => line.push((first = resolve)));
  try {
    await Promise.race([isFirst, interrupted]);
  } catch (error) {
    const at = line.indexOf(first);
    if (at >= 0) line.splice(at, 1);
    // The turn came at the same moment: it goes on to the next.
    else endTurn();
    throw error;
  }
}

/**
 * Gives signs of life of a package until it is ended, whatever its maker is busy with.
 * @returns `stopped` rejects once somebody asked to stop it
 */
function keepAlive(db: Db, id: string) {
  let beat: ReturnType<typeof setInterval> | undefined;
  const stopped = new Promise<never>((_, reject) => {
    let isAsking = false;
    beat = setInterval(() => {
      // A database that is busy is not asked once more.
      if (isAsking) return;
      isAsking = true;
      void tell(db, id, {})
        .then(
          (state) => state === 'stopping' && reject(new Stopped()),
          () => undefined,
        )
        .finally(() => (isAsking = false));
    }, BEAT_MS);
  });
  stopped.catch(() => undefined);
  return { stopped, end: () => clearInterval(beat) };
}

/** Packages that this server makes: what cuts each off, and when it is gone. */
const underWay = new Map<string, { cut(): void; gone: Promise<void> }>();

/** Cuts off all packages that are being made; nothing of them is left. */
export async function stopPackages(): Promise<void> {
  const all = [...underWay.values()];
  for (const { cut } of all) cut();
  await Promise.all(all.map(({ gone }) => gone));
}

/** The builder's thread: its own bundle where the server is built, its source in tests. */
function startMaker(): Worker {
  const built = new URL('./package.worker.js', import.meta.url);
  return existsSync(built)
    ? new Worker(built)
    : new Worker(new URL('./make/worker.source.mjs', import.meta.url));
}

class Stopped extends Error {
  override name = 'Stopped';
}

/** What the builder has put into words already. */
class Said extends Error {
  override name = 'Said';
}

/** Where packages are made and kept. */
interface Workplace {
  db: Db;
  folder: string;
  store: PackageStore;
  /** Told what nobody is told in words. */
  onFailure?: (error: unknown) => void;
}

/**
 * Makes a package: whole, or nothing of it is left. Progress is told to the database, where a stop is asked
 * for too, so that any process can show and stop it.
 */
export function makePackage(place: Workplace, row: PackageRow): Promise<void> {
  let cut = (): void => undefined;
  const cutOff = new Promise<never>((_, reject) => {
    cut = () => reject(new Said(CUT_OFF_WORDS));
  });
  cutOff.catch(() => undefined);
  const gone = make(place, row, cutOff).finally(() => underWay.delete(row.id));
  underWay.set(row.id, { cut, gone: gone.catch(() => undefined) });
  return gone;
}

async function make(
  { db, folder, store, onFailure }: Workplace,
  row: PackageRow,
  cutOff: Promise<never>,
): Promise<void> {
  const making = join(folder, `${row.id}.making`);
  const file = `${making}.zip`;
  const { projectId, closureId, paper } = row;
  let worker: Worker | undefined;
  let hasTurn = false;
  let isInterrupted = false;
  const life = keepAlive(db, row.id);
  const interrupted = Promise.race([cutOff, life.stopped]);
  interrupted.catch(() => (isInterrupted = true));
  const made = async () => {
    await turn(interrupted);
    hasTurn = true;
    worker = startMaker();
    await mkdir(making, { recursive: true });
    const task = { projectId, closureId, paper, folder: making, file };
    return fed(db, row.id, worker, task, () => isInterrupted);
  };
  const outcome = await Promise.race([made(), interrupted])
    .then(async (result) => {
      await store.keep(row.id, file);
      return { state: 'done' as const, ...result };
    })
    .catch((error: Error) => {
      if (!(error instanceof Stopped || error instanceof Said)) onFailure?.(error);
      return outcomeOf(error);
    });
  // First nothing half-made is left, then it is said so.
  await worker?.terminate();
  await rm(making, { recursive: true, force: true });
  await rm(file, { force: true });
  if (hasTurn) endTurn();
  life.end();
  await tell(db, row.id, { part: '', ...outcome });
}

function outcomeOf(error: Error) {
  if (error instanceof Stopped) return { state: 'stopped' as const };
  const problem = error instanceof Said ? error.message : wordsOf(error);
  return { state: 'failed' as const, problem };
}

async function fed(
  db: Db,
  id: string,
  worker: Worker,
  task: Parameters<typeof feed>[1],
  isInterrupted: () => boolean,
): Promise<{ size: number; digest: string }> {
  const ask = asker(worker);
  const total = await countRows(db, task);
  let done = 0;
  let told = 0;
  let waiting: Promise<MakerAnswer> | null = null;
  for await (const { message, part, rows } of feed(db, task)) {
    // One page is written while the next is read.
    if (waiting) taken(await waiting);
    waiting = ask(message);
    // It is awaited a turn later.
    waiting.catch(() => undefined);
    done += rows;
    const now = Date.now();
    if (isInterrupted()) throw new Stopped();
    if (now - told < BEAT_MS && message.kind !== 'finish') continue;
    told = now;
    await tell(db, id, { part, done, total });
  }
  const last = await waiting!;
  taken(last);
  if (last.kind !== 'made') throw new Error('its builder ended without a package');
  return { size: last.size, digest: last.digest };
}

function taken(answer: MakerAnswer): void {
  if (answer.kind === 'failed') throw new Said(answer.words);
}

/** Asks the builder one thing after the other. */
function asker(worker: Worker): (message: PackageMessage) => Promise<MakerAnswer> {
  return (message) =>
    new Promise((resolve, reject) => {
      const answered = (answer: MakerAnswer) => {
        worker.off('error', failed);
        resolve(answer);
      };
      const failed = (error: Error) => {
        worker.off('message', answered);
        reject(error);
      };
      worker.once('message', answered);
      worker.once('error', failed);
      worker.postMessage(message);
    });
}

/** Tells how far it is; gives the state, which somebody else may have changed. */
async function tell(
  db: Db,
  id: string,
  part: Partial<typeof packages.$inferInsert>,
): Promise<PackageState | undefined> {
  const [row] = await db
    .update(packages)
    .set({ ...part, heartbeat: new Date() })
    .where(eq(packages.id, id))
    .returning({ state: packages.state });
  return row?.state;
}

/** What a package looks like to who asks: one whose server was stopped in the middle has failed. */
export async function packageAsShown(store: PackageStore, row: PackageRow) {
  const { projectId: _project, at, heartbeat, ...rest } = row;
  const shown = { ...rest, at: at.toISOString() };
  const running = row.state === 'making' || row.state === 'stopping';
  // What this server makes is alive, however long the database has not taken a sign of it.
  if (running && !underWay.has(row.id) && Date.now() - heartbeat.getTime() > CUT_OFF_MS)
    return {
      ...shown,
      state: 'failed' as const,
      problem: CUT_OFF_WORDS,
    };
  if (row.state !== 'done') return shown;
  return (await store.has(row.id))
    ? shown
    : {
        ...shown,
        state: 'failed' as const,
        problem: 'Its file is not on this server any more: make it again, it will be the same.',
      };
}
