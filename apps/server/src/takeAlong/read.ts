import { type Closure, type Evidence, type Plan, type Splice, groupBy } from '@cordel/core';
import { type ClosingEntry, type ClosureRecord, changesSince, digestOf } from '@cordel/core/close';
import { inArray, sql } from 'drizzle-orm';
import { closingOfAll, photosOfAll, signedOfAll } from '../closing/queries.ts';
import { recordNow } from '../closing/record.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { closures, plans, splices } from '../db/schema.ts';
import { evidenceOf, idArray } from '../evidence/queries.ts';
import { listCables, textOfSplices } from '../plans/queries.ts';

/** Closures that are read at a time. */
const AT_ONCE = 20;

/** A closure with all that work there needs, as its own paths answer it. */
export interface ClosureAlong {
  closureId: string;
  work: { closure: Closure; splices: Splice[]; retired: Splice[]; evidence: Evidence[] };
  closing: {
    entries: ClosingEntry[];
    photos: unknown[];
    plan: Plan | null;
    signed: { digest: string; whole: boolean; changes: unknown[] }[];
  };
  plan: Plan & { worked: string[] };
}

/** Splices of closures as JSON, which the database makes faster than we could of its rows. */
const splicesOf = (db: Db, ids: readonly string[]) =>
  rowsOf<{ closureId: string; live: boolean; splices: Splice[] }>(
    db,
    sql`select closure_id as "closureId", live, json_agg(json_build_object(
          'id', id, 'projectId', project_id, 'closureId', closure_id, 'tray', tray, 'slot', slot,
          'cableA', cable_a, 'fiberA', fiber_a, 'legA', leg_a, 'cableB', cable_b, 'fiberB', fiber_b, 'legB', leg_b,
          'method', method, 'end', end_way, 'extra', extra) order by tray, slot, fiber_a, id) as splices
        from splices where closure_id = any(${idArray(ids)}::uuid[]) group by closure_id, live`,
  );

const by = <Row extends { closureId: string }>(rows: readonly Row[]) =>
  groupBy(rows, ({ closureId }) => closureId);

/**
 * Closures of a project with all that work there needs, a few at a time.
 * @param wanted ids of closures; null for all
 */
export async function* closuresAlong(
  db: Db,
  projectId: string,
  wanted: readonly string[] | null,
): AsyncGenerator<ClosureAlong> {
  const list = await listCables(db, projectId);
  const names = new Map([...list.values()].map(({ id, name }) => [id, name]));
  const ids = (
    await rowsOf<{ id: string }>(
      db,
      sql`select id from closures where project_id = ${projectId}::uuid order by ordinal, id`,
    )
  )
    .map(({ id }) => id)
    .filter((id) => wanted === null || wanted.includes(id));
  for (let start = 0; start < ids.length; start += AT_ONCE) {
    const batch = ids.slice(start, start + AT_ONCE);
    const rows = await db.select().from(closures).where(inArray(closures.id, batch));
    const lists = by(await splicesOf(db, batch));
    const planned = by(await db.select().from(plans).where(inArray(plans.closureId, batch)));
    const entries = by(await closingOfAll(db, batch));
    const photos = by(await photosOfAll(db, batch));
    const signed = by(await signedOfAll(db, batch));
    const closureOf = new Map(
      [...lists.values()].flat().flatMap((own) => own.splices.map(({ id }) => [id, own.closureId])),
    );
    const evidence = groupBy(
      await evidenceOf(db, inArray(splices.closureId, batch)),
      ({ spliceId }) => closureOf.get(spliceId) ?? '',
    );
    for (const closure of rows) {
      const closureId = closure.id;
      const of = (live: boolean) =>
        lists.get(closureId)?.find((own) => own.live === live)?.splices ?? [];
      const own = evidence.get(closureId) ?? [];
      const [plan = null] = planned.get(closureId) ?? [];
      const records = signed.get(closureId) ?? [];
      const now = records.length > 0 ? (await recordNow(db, closureId)).record : null;
      const made = new Set(own.map(({ spliceId }) => spliceId));
      const live = of(true);
      yield {
        closureId,
        work: { closure, splices: live, retired: of(false), evidence: own },
        closing: {
          entries: entries.get(closureId) ?? [],
          photos: photos.get(closureId) ?? [],
          plan,
          signed: records.map(({ digest, content }) => ({
            digest,
            whole: digestOf(content) === digest,
            changes: changesSince(JSON.parse(content) as ClosureRecord, now!),
          })),
        },
        plan: {
          ...(plan ?? {
            closureId,
            text: textOfSplices(
              live.map((splice) => ({
                ...splice,
                cableA: names.get(splice.cableA)!,
                cableB: names.get(splice.cableB)!,
              })),
              [...list.values()],
            ),
            pins: [],
            spare: 0,
          }),
          worked: live.filter(({ id }) => made.has(id)).map(({ id }) => id),
        },
      };
    }
  }
}
