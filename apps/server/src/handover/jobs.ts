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

/** Between two signs of life of a job, and how long without one until it counts as cut off, ms. */
const BEAT = 500;
const WAITING_BEAT = 2000;
const CUT_OFF = 20_000;
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

/** Waits until it is a package's turn, and gives signs of life meanwhile. @returns what ends the turn */
async function turnOf(db: Db, id: string): Promise<() => void> {
  const end = () => {
    const next = line.shift();
    if (next) next();
    else beingMade--;
  };
  if (beingMade < MOST_AT_ONCE) {
    beingMade++;
    return end;
  }
  let hasLeft = false;
  let first = (): void => undefined;
  const turn = new Promise<void>((resolve) => line.push((first = resolve)));
  const heartbeat = setInterval(() => {
    void tell(db, id, {}).then(
      (state) => {
        if (state === 'stopping') leave();
      },
      () => undefined,
    );
  }, WAITING_BEAT);
  const leave = () => {
    const at = line.indexOf(first);
    if (at < 0) return;
    line.splice(at, 1);
    hasLeft = true;
    first();
  };
  await turn;
  clearInterval(heartbeat);
  // Who left the line had no turn.
  if (hasLeft) throw new Stopped();
  return end;
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
  { db, folder, store }: Workplace,
  row: PackageRow,
  cutOff: Promise<never>,
): Promise<void> {
  const making = join(folder, `${row.id}.making`);
  const file = `${making}.zip`;
  const { projectId, closureId, paper } = row;
  let worker: Worker | undefined;
  let end = (): void => undefined;
  let isCut = false;
  cutOff.catch(() => (isCut = true));
  const made = async () => {
    end = await turnOf(db, row.id);
    if (isCut) throw new Stopped();
    worker = startMaker();
    await mkdir(making, { recursive: true });
    return fed(db, row.id, worker, { projectId, closureId, paper, folder: making, file });
  };
  const outcome = await Promise.race([made(), cutOff])
    .then(async (result) => {
      await store.keep(row.id, file);
      return { state: 'done' as const, ...result };
    })
    .catch((error: Error) => outcomeOf(error));
  // First nothing half-made is left, then it is said so.
  await worker?.terminate();
  await rm(making, { recursive: true, force: true });
  await rm(file, { force: true });
  end();
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
    if (now - told < BEAT && message.kind !== 'finish') continue;
    told = now;
    if ((await tell(db, id, { part, done, total })) === 'stopping') throw new Stopped();
  }
  const last = await waitedFor(db, id, waiting!);
  taken(last);
  if (last.kind !== 'made') throw new Error('its builder ended without a package');
  return { size: last.size, digest: last.digest };
}

/** Waits for the last answer, which takes longest, and gives signs of life meanwhile. */
async function waitedFor(db: Db, id: string, answer: Promise<MakerAnswer>): Promise<MakerAnswer> {
  for (;;) {
    const pause = new Promise<null>((done) => setTimeout(done, BEAT, null));
    const first = await Promise.race([answer, pause]);
    if (first) return first;
    if ((await tell(db, id, {})) === 'stopping') throw new Stopped();
  }
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
  if (running && Date.now() - heartbeat.getTime() > CUT_OFF)
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
