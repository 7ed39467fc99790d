import { CLOCK_ERROR_MS, isFuture } from '@cordel/core';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { clockCorrections } from '../db/schema.ts';
import { idArray } from '../evidence/queries.ts';
import { Problem } from '../http/problem.ts';

/** What a client sends with every request: the moment that it is by its own clock, in ISO 8601. */
export const CLOCK_HEADER = 'x-cordel-clock';

/**
 * By how much our clock is ahead of a client's, ms; negative where the client's is ahead of ours, and 0 where two clocks
 * may differ by so much, or the client does not say.
 */
export function clockOffMs(header: string | undefined, now = Date.now()): number {
  const off = now - Date.parse(header ?? '');
  return Math.abs(off) > CLOCK_ERROR_MS ? off : 0;
}

interface Entry {
  id: string;
  at: string;
  by: string;
}

/**
 * Records entries as our clock has them, where the clock of the device that made them is wrong: what the device said is
 * kept beside it. What is still to come by our clock was done by now.
 * @param projectsOf gives the project of each entry; null where there is none
 * @param record records the entries, all of them or none
 */
export async function recordByServerClock<Of extends Entry, Answer>(
  { db, clockOffMs: offMs }: { db: Db; clockOffMs: number },
  entries: readonly Of[],
  projectsOf: (db: Db) => Promise<readonly (string | null)[]>,
  record: (db: Db, entries: Of[]) => Promise<Answer>,
): Promise<Answer> {
  const now = new Date().toISOString();
  if (offMs === 0 && !entries.some(({ at }) => isFuture(at, now))) {
    try {
      return await record(db, [...entries]);
    } catch (error) {
      // Sent again by a device whose clock has been set right meanwhile, it is not the entry that was corrected.
      if (!(error instanceof Problem) || error.told.code !== 'entryChanged') throw error;
      if ((await correctedAmong(db, entries)).size === 0) throw error;
    }
  }
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    const projects = await projectsOf(on);
    const before = await correctedAmong(on, entries);
    const held = await heldAmong(on, entries);
    const off = await sameCorrection(on, projects[0] ?? null, offMs);
    const ours = entries.map((entry) => {
      const corrected = before.get(entry.id);
      if (corrected !== undefined) return { ...entry, at: corrected };
      if (held.has(entry.id)) return entry;
      const moved = new Date(Date.parse(entry.at) + off).toISOString();
      return { ...entry, at: isFuture(moved, now) ? now : moved };
    });
    const answer = await record(on, ours);
    const fresh = entries.flatMap(({ id, at, by }, index) => {
      const [projectId, correctedAt] = [projects[index], ours[index]!.at];
      if (!projectId || before.has(id) || correctedAt === at) return [];
      const moments = { saidAt: new Date(at), correctedAt: new Date(correctedAt) };
      return [{ entryId: id, projectId, by, ...moments }];
    });
    if (fresh.length > 0) await on.insert(clockCorrections).values(fresh).onConflictDoNothing();
    return answer;
  });
}

/** When entries were made by our clock, by their ids, of those that have been corrected. */
async function correctedAmong(
  db: Db,
  entries: readonly Entry[],
): Promise<ReadonlyMap<string, string>> {
  const rows = await rowsOf<{ id: string; at: string }>(
    db,
    sql`select entry_id as id, to_char(corrected_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at
        from clock_corrections where entry_id = any(${idArray(entries.map(({ id }) => id))}::uuid[])`,
  );
  return new Map(rows.map(({ id, at }) => [id, at]));
}

/** Ids of entries that are here already: they stay as they are. */
async function heldAmong(db: Db, entries: readonly Entry[]): Promise<ReadonlySet<string>> {
  const ids = sql`any(${idArray(entries.map(({ id }) => id))}::uuid[])`;
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select id from attempts where id = ${ids}
        union all select id from readings where id = ${ids}
        union all select id from inspections where id = ${ids}
        union all select id from rulings where id = ${ids}
        union all select id from closing_entries where id = ${ids}
        union all select id from set_asides where id = ${ids}
        union all select id from instrument_log where id = ${ids}
        union all select id from trace_places where id = ${ids}
        union all select id from link_entries where id = ${ids}`,
  );
  return new Set(rows.map(({ id }) => id));
}

/** Requests take their time: within this a device's clock is off by as much as it was before, ms. */
const SAME_OFF_MS = 60_000;

/** The same correction for what a device sends in several requests, so that their order stays what it was. */
async function sameCorrection(db: Db, projectId: string | null, offMs: number): Promise<number> {
  if (offMs === 0) return 0;
  const [last] = await rowsOf<{ offMs: number }>(
    db,
    sql`select (extract(epoch from corrected_at - said_at) * 1000)::float8 as "offMs" from clock_corrections
        where project_id = ${projectId}::uuid
          and abs(extract(epoch from corrected_at - said_at) * 1000 - ${offMs}) < ${SAME_OFF_MS}
        order by corrected_at desc limit 1`,
  );
  return last ? Math.round(last.offMs) : offMs;
}
