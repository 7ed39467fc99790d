import { asc, eq, inArray, sql } from 'drizzle-orm';
import { type LinkEntry, type Reference, lossBy } from '@cordel/core';
import { linksProblems as say } from '@cordel/text/server/links';
import { type Db, rowsOf } from '../db/client.ts';
import { linkEntries } from '../db/schema.ts';
import { appendOnly } from '../evidence/appendOnly.ts';
import { idArray } from '../evidence/queries.ts';
import { problemAt } from '../http/problem.ts';
import type { Plant } from '../traces/plant.ts';

/** What meters tell of a project's links, in recorded order. */
export async function linksOf(db: Db, projectId: string): Promise<LinkEntry[]> {
  const rows = await db
    .select({ entry: linkEntries.entry })
    .from(linkEntries)
    .where(eq(linkEntries.projectId, projectId))
    .orderBy(asc(linkEntries.seq));
  return rows.map(({ entry }) => entry);
}

/** Entries by their ids, as the feed of changes tells them. */
export async function linksById(
  db: Db,
  ids: readonly string[],
): Promise<ReadonlyMap<string, LinkEntry>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({ id: linkEntries.id, entry: linkEntries.entry })
    .from(linkEntries)
    .where(inArray(linkEntries.id, [...ids]));
  return new Map(rows.map(({ id, entry }) => [id, entry]));
}

/** Appends entries in their order; the same entry sent again changes nothing. */
export async function appendLinks(db: Db, entries: readonly LinkEntry[]): Promise<void> {
  await appendOnly(
    db,
    linkEntries,
    entries.map((entry) => ({
      id: entry.id,
      projectId: entry.projectId,
      kind: entry.kind,
      entry,
    })),
  );
}

/**
 * Refuses entries of fibers that the project does not have, losses without their reference or below zero, and
 * corrections of what is not there.
 */
export async function refuseStrayLinks(
  db: Db,
  projectId: string,
  entries: readonly LinkEntry[],
  plant: Plant,
): Promise<void> {
  const known = await namedBy(db, projectId, entries);
  entries.forEach((entry, index) => {
    const refuse = (field: string, detail: ReturnType<typeof say>) => {
      throw problemAt(422, `/entries/${index}/${field}`, detail);
    };
    if (entry.projectId !== projectId) refuse('projectId', say('otherProject'));
    if (entry.kind !== 'reference') {
      if (!plant.setting.cables.has(entry.cableId)) refuse('cableId', say('cableUnknown'));
      if (!plant.hasFiber(entry.cableId, entry.fiber)) refuse('fiber', say('fiberUnknown'));
      if (entry.supersedes !== null && known.get(entry.supersedes)?.kind !== entry.kind)
        refuse('supersedes', say('supersededUnknown'));
    }
    if (entry.kind === 'loss') {
      const reference = known.get(entry.referenceId);
      if (reference?.kind !== 'reference') refuse('referenceId', say('referenceUnknown'));
      if (lossBy(entry, reference as Reference) < 0)
        refuse(entry.powerMdbm === null ? 'lossMdb' : 'powerMdbm', say('lossNegative'));
    }
    known.set(entry.id, entry);
  });
}

/** Entries of the project that others name, by their ids. */
async function namedBy(
  db: Db,
  projectId: string,
  entries: readonly LinkEntry[],
): Promise<Map<string, LinkEntry>> {
  const ids = entries.flatMap((entry) => [
    ...(entry.kind === 'loss' ? [entry.referenceId] : []),
    ...(entry.kind !== 'reference' && entry.supersedes !== null ? [entry.supersedes] : []),
  ]);
  const rows = await rowsOf<{ entry: LinkEntry }>(
    db,
    sql`select entry from link_entries
        where project_id = ${projectId} and id = any(${idArray([...new Set(ids)])}::uuid[])`,
  );
  return new Map(rows.map(({ entry }) => [entry.id, entry]));
}
