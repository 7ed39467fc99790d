import { mkdir, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { writeWhole } from './writeWhole.ts';

/** Backups that a server makes by itself. */
export interface Schedule {
  /** Where they lie; best on another disk. */
  folder: string;
  /** Days of which a backup is kept; of each of the twelve months before, the first. */
  days: number;
}

const MONTHS = 12;
const NAME = /^cordel-(\d{4}-\d\d-\d\d)\.jsonl\.gz$/;
const DAY_MS = 24 * 3600_000;

const nameOf = (day: string): string => `cordel-${day}.jsonl.gz`;
const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/** Days of backups that are kept, of those that are there. */
export function keptDays(days: readonly string[], now: Date, count: number): Set<string> {
  const oldest = dayOf(now.getTime() - (count - 1) * DAY_MS);
  const kept = new Set(days.filter((day) => day >= oldest));
  const firstMonth = `${now.getUTCFullYear() - 1}-${String(now.getUTCMonth() + 1).padStart(2, '0')}`;
  const months = new Map<string, string>();
  for (const day of [...days].sort()) {
    const month = day.slice(0, 7);
    if (month >= firstMonth && !months.has(month)) months.set(month, day);
  }
  for (const day of [...months.values()].slice(-MONTHS)) kept.add(day);
  return kept;
}

/**
 * Makes the backup of a day where there is none yet, then removes those that are not kept. One that fails leaves those
 * before as they are.
 * @param read everything, as it is to lie in the file
 * @returns the file; null where the day has one
 */
export async function backUpDay(
  { folder, days }: Schedule,
  read: () => Promise<Readable>,
  now: Date,
): Promise<string | null> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const today = dayOf(now.getTime());
  const path = join(folder, nameOf(today));
  const there = async () => (await readdir(folder)).flatMap((name) => NAME.exec(name)?.[1] ?? []);
  if ((await there()).includes(today)) return null;
  await writeWhole(path, await read());
  const all = await there();
  const kept = keptDays(all, now, days);
  for (const day of all) if (!kept.has(day)) await rm(join(folder, nameOf(day)), { force: true });
  return path;
}
