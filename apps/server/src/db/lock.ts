import { randomUUID } from 'node:crypto';
import { readFile, readdir, readlink, rename, rm, stat, utimes, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { join } from 'node:path';

/** Another process holds the data folder. */
export class FolderInUse extends Error {
  override name = 'FolderInUse';
}

interface Holder {
  pid: number;
  host: string;
  /** When the process started, as the system counts it; tells a reused pid from the holder. */
  started: string | null;
  /** Names the processes it can be seen among: a container has its own. */
  processes?: string | null;
  token: string;
  /** It gives a sign of life every so often, as the time of its file. */
  beats?: true;
}

const CLAIM = 'cordel.lock.';

/** Between two signs of life, and how long without one until a claim does not count, in ms. */
const BEAT_MS = 2000;
const SILENT_MS = 7000;

/** How long a claim waits for others that came at the same moment to give way, in steps of ms. */
const STEPS = 50;
const STEP = 20;

/**
 * Takes the one lock of a data folder. PGlite has none of its own: two processes on one folder lose
 * writes without a word.
 *
 * Every process writes a claim under a name of its own and then looks for others. Who sees none has
 * the lock; whoever comes later sees that claim and gives way. Of claims made at the same moment the
 * one with the smallest token stays. A name is never used again, so the claim of a process that is
 * gone (kill -9, power cut) can be removed by anyone without a race.
 *
 * Of a process that cannot be seen from here, on another host or in another container, its signs of life tell.
 * @param onLost told when the claim was taken away meanwhile, as after a sleep: nothing may be written any more
 * @throws FolderInUse where a living process holds it
 */
export async function lockFolder(
  folder: string,
  onLost: () => void = () => undefined,
): Promise<{ release(): Promise<void> }> {
  const mine: Holder = {
    pid: process.pid,
    host: hostname(),
    started: await startOf(process.pid),
    processes: await readlink('/proc/self/ns/pid').catch(() => null),
    token: randomUUID(),
    beats: true,
  };
  const path = join(folder, CLAIM + mine.token);
  // Renamed into place, so that nobody reads half a claim.
  const draft = join(folder, `cordel.draft.${mine.token}`);
  await writeFile(draft, JSON.stringify(mine));
  await rename(draft, path);
  const heartbeat = setInterval(() => {
    const now = new Date();
    utimes(path, now, now).catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'ENOENT') return;
      clearInterval(heartbeat);
      onLost();
    });
  }, BEAT_MS).unref();
  const release = async () => {
    clearInterval(heartbeat);
    await rm(path, { force: true });
  };
  const signs = new Set<string>();
  for (let step = 0; step < STEPS; step++) {
    const others = await livingClaims(folder, mine, signs);
    if (others.length === 0) return { release };
    const before = others.find((other) => other.token < mine.token);
    if (before || step === STEPS - 1) {
      await release();
      throw new FolderInUse(inUse(folder, before ?? others[0]!));
    }
    await new Promise((resolve) => setTimeout(resolve, STEP));
  }
  throw new FolderInUse(`The data folder ${folder} could not be locked; try again.`);
}

/**
 * The claims of others that still run; those of processes that are gone are removed.
 * @param signs tokens of those that have given a sign of life; it is not waited for again
 */
async function livingClaims(folder: string, own: Holder, signs: Set<string>): Promise<Holder[]> {
  const living: Holder[] = [];
  for (const name of await readdir(folder)) {
    if (!name.startsWith(CLAIM) || name === CLAIM + own.token) continue;
    const path = join(folder, name);
    const holder = await readHolder(path);
    if (!holder) continue;
    if (signs.has(holder.token) || (await isAlive(holder, own, path))) {
      if (!isVisible(holder, own)) signs.add(holder.token);
      living.push(holder);
    } else await rm(path, { force: true });
  }
  return living;
}

const inUse = (folder: string, { pid, host, token }: Holder): string =>
  `The data folder ${folder} is in use by process ${pid} on ${host}. Stop that one first, or set CORDEL_DATA to another folder. If it is gone for good, delete ${join(folder, CLAIM + token)}.`;

/** A claim as it was written, or null where it has been withdrawn meanwhile. */
async function readHolder(path: string): Promise<Holder | null> {
  try {
    return JSON.parse(await readFile(path, 'utf8')) as Holder;
  } catch {
    return null;
  }
}

/** Whether a process is among those that can be seen from here, whatever its host was called then. */
function isVisible(holder: Holder, own: Holder): boolean {
  // Earlier versions did not say where their process can be seen.
  if (holder.processes === undefined) return holder.host === own.host;
  return (
    holder.processes === own.processes &&
    (holder.host === own.host || (bootOf(holder) !== null && bootOf(holder) === bootOf(own)))
  );
}

async function isAlive(holder: Holder, own: Holder, path: string): Promise<boolean> {
  // A claim without signs of life is of an earlier version: of it nothing can be known.
  if (!isVisible(holder, own)) return holder.beats === undefined || givesSign(path);
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const started = await startOf(holder.pid);
  return started === null || holder.started === null || started === holder.started;
}

/** Whether a claim gives a sign of life within the time in which a living one gives several. */
async function givesSign(path: string): Promise<boolean> {
  const timeOf = async () => (await stat(path).catch(() => null))?.mtimeMs ?? null;
  const before = await timeOf();
  for (let waited = 0; waited < SILENT_MS; waited += STEP * 10) {
    await new Promise((resolve) => setTimeout(resolve, STEP * 10));
    const now = await timeOf();
    if (now === null) return false;
    if (now !== before) return true;
  }
  return false;
}

/** Names a start of a machine, whatever it is called; null where it has no name. */
const bootOf = ({ started }: Holder): string | null => started?.split(' ')[0] ?? null;

/** The start time of a process in clock ticks since boot, on Linux; null elsewhere. */
async function startOf(pid: number): Promise<string | null> {
  try {
    const stat = await readFile(`/proc/${pid}/stat`, 'utf8');
    const boot = await readFile('/proc/sys/kernel/random/boot_id', 'utf8');
    // The name, field 2, may hold spaces: count from behind it. Field 22 is the start time.
    return `${boot.trim()} ${stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]}`;
  } catch {
    return null;
  }
}
