import { eq, sql } from 'drizzle-orm';
import {
  type CableRow,
  type FoundRows,
  type LedgerQuery,
  type PlanLineRow,
  fiberCount,
  planNotes,
} from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import { closures, plans } from '../db/schema.ts';
import { getCables } from '../projects/queries.ts';
import { closureRows, fiberRows, spliceRows, trayRows } from './queries.ts';

/** Rows of a kind that a search shows at once. */
const SHOWN = 5;

const first = <Row>(rows: readonly Row[]) => ({ rows: rows.slice(0, SHOWN), total: rows.length });

/** Everything that a search line finds, whatever its kind: the first rows of each, and how many there are. */
export async function findAll(
  db: Db,
  projectId: string,
  { q = '', closureId }: Pick<LedgerQuery, 'q' | 'closureId'>,
): Promise<FoundRows> {
  const query: LedgerQuery = { q, closureId, sort: 'route', offset: 0, limit: SHOWN };
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const named = ({ name }: { name: string }) =>
    words.every((word) => name.toLowerCase().includes(word));
  const all = await closureRows(db, projectId);
  return {
    fibers: await fiberRows(db, projectId, query),
    splices: await spliceRows(db, projectId, query),
    trays: await trayRows(db, projectId, query),
    closures: first(all.closures.filter(named)),
    cables: first((await cableRows(db, projectId)).filter(named)),
    planLines: first(await planLines(db, projectId, words)),
  };
}

/** Lines of plans whose note or remark has all the words. */
async function planLines(
  db: Db,
  projectId: string,
  words: readonly string[],
): Promise<PlanLineRow[]> {
  const rows = await db
    .select({ closureId: closures.id, closure: closures.name, text: plans.text })
    .from(plans)
    .innerJoin(closures, eq(closures.id, plans.closureId))
    .where(eq(closures.projectId, projectId))
    .orderBy(closures.ordinal);
  return rows.flatMap(({ closureId, closure, text: plan }) =>
    planNotes(plan).flatMap(({ line, text, note }) =>
      words.every((word) => note.toLowerCase().includes(word))
        ? [{ closureId, closure, line, text }]
        : [],
    ),
  );
}

/** A row a cable: how many fibers it has, and how many of them are spliced. */
async function cableRows(db: Db, projectId: string): Promise<CableRow[]> {
  const spliced = await rowsOf<{ cableId: string; fibers: number }>(
    db,
    sql`select cable as "cableId", count(distinct fiber)::int as fibers from (
          select cable_a as cable, fiber_a as fiber from splices where project_id = ${projectId} and live
          union all
          select cable_b, fiber_b from splices where project_id = ${projectId} and live) used
        group by cable`,
  );
  const counts = new Map(spliced.map(({ cableId, fibers }) => [cableId, fibers]));
  return (await getCables(db, projectId)).map(({ id, name, makeUp }) => ({
    cableId: id,
    name,
    fibers: fiberCount(makeUp),
    planned: counts.get(id) ?? 0,
  }));
}
