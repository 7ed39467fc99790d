import { randomUUID } from 'node:crypto';
import { link, readFile, rename, rm, writeFile } from 'node:fs/promises';
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

/**
 * Takes the one lock of a data folder. PGlite has none of its own: two processes on one folder lose
 * writes without a word. The lock of a process that is gone (kill -9, power cut) is taken over.
 * @throws FolderInUse where a living process holds it
 */
export async function lockFolder(folder: string): Promise<{ release(): Promise<void> }> {
  const path = join(folder, 'cordel.lock');
  const mine: Holder = {
    pid: process.pid,
    host: hostname(),
    started: await startOf(process.pid),
    token: randomUUID(),
  };
  const draft = `${path}.${mine.token}`;
  await writeFile(draft, JSON.stringify(mine));
  try {
    for (let tries = 0; tries < 5; tries++) {
      // A hard link is made or refused as a whole, so that one process alone can win.
      if (await made(link(draft, path))) return { release: () => release(path, mine.token) };
      const holder = await readHolder(path);
      if (holder && (await isAlive(holder))) throw new FolderInUse(inUse(folder, holder));
      await removeStale(path, holder);
    }
    throw new FolderInUse(
      `The data folder ${folder} is being locked by other processes; try again.`,
    );
  } finally {
    await rm(draft, { force: true });
  }
}

const inUse = (folder: string, { pid, host }: Holder): string =>
  `The data folder ${folder} is in use by process ${pid} on ${host}. Stop that one first, or set CORDEL_DATA to another folder.`;

async function made(work: Promise<void>): Promise<boolean> {
  try {
    await work;
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

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

async function removeStale(path: string, judged: Holder | null): Promise<void> {
  const aside = `${path}.stale-${randomUUID()}`;
  try {
    await rename(path, aside);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return;
    throw error;
  }
  const moved = await readHolder(aside);
  // Another process may have replaced the stale lock in between: give it back.
  if (moved && moved.token !== judged?.token) await made(link(aside, path));
  await rm(aside, { force: true });
}

async function release(path: string, token: string): Promise<void> {
  const holder = await readHolder(path);
  if (holder?.token === token) await rm(path, { force: true });
}
