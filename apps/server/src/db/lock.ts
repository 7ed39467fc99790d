import { randomUUID } from 'node:crypto';
import { readFile, readdir, rename, rm, writeFile } from 'node:fs/promises';
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
  token: string;
}

const CLAIM = 'cordel.lock.';

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
 * @throws FolderInUse where a living process holds it
 */
export async function lockFolder(folder: string): Promise<{ release(): Promise<void> }> {
  const mine: Holder = {
    pid: process.pid,
    host: hostname(),
    started: await startOf(process.pid),
    token: randomUUID(),
  };
  const path = join(folder, CLAIM + mine.token);
  // Renamed into place, so that nobody reads half a claim.
  const draft = join(folder, `cordel.draft.${mine.token}`);
  await writeFile(draft, JSON.stringify(mine));
  await rename(draft, path);
  const release = () => rm(path, { force: true });
  for (let step = 0; step < STEPS; step++) {
    const others = await livingClaims(folder, mine.token);
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

/** The claims of others that still run; those of processes that are gone are removed. */
async function livingClaims(folder: string, own: string): Promise<Holder[]> {
  const living: Holder[] = [];
  for (const name of await readdir(folder)) {
    if (!name.startsWith(CLAIM) || name === CLAIM + own) continue;
    const path = join(folder, name);
    const holder = await readHolder(path);
    if (!holder) continue;
    if (await isAlive(holder)) living.push(holder);
    else await rm(path, { force: true });
  }
  return living;
}

const inUse = (folder: string, { pid, host }: Holder): string =>
  `The data folder ${folder} is in use by process ${pid} on ${host}. Stop that one first, or set CORDEL_DATA to another folder.`;

/** A claim as it was written, or null where it has been withdrawn meanwhile. */
async function readHolder(path: string): Promise<Holder | null> {
  try {
    return JSON.parse(await readFile(path, 'utf8')) as Holder;
  } catch {
    return null;
  }
}

async function isAlive(holder: Holder): Promise<boolean> {
  // Of a process on another machine nothing can be known: its lock stands.
  if (holder.host !== hostname()) return true;
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const started = await startOf(holder.pid);
  return started === null || holder.started === null || started === holder.started;
}

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
