import type { Ruling, Splice } from '@cordel/core';
import { clashText } from '@cordel/text/plan';
import { conflictsProblems as say } from '@cordel/text/server/conflicts';
import { eq } from 'drizzle-orm';
import { clashAmong, closureSplices, getClosure } from '../closures/queries.ts';
import type { Db } from '../db/client.ts';
import { droppedSplices } from '../db/schema.ts';
import { record } from '../evidence/queries.ts';
import { Problem } from '../http/problem.ts';
import { droppedAmong, recordDeferred } from '../plans/dropped.ts';
import { addToPlan } from '../plans/queries.ts';
import { getProject, lockProject } from '../projects/queries.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';
import { insertSplices } from '../splices/insert.ts';

/** What somebody decides of a splice that was made while the plan dropped it. */
export interface DropDecision extends Pick<Ruling, 'id' | 'by' | 'at' | 'why'> {
  /** `splice`: it is in the plan again, as it was made. `plan`: it is removed, with all that is recorded of it. */
  keeps: 'splice' | 'plan';
}

/**
 * Brings a dropped splice back with what was recorded of it: into the plan, or as one that was removed.
 * @throws Problem 404 where nothing is to be decided, 409 where its fibers or its place are planned otherwise now
 */
export async function decideDropped(
  db: Db,
  projectId: string,
  spliceId: string,
  { keeps, ...word }: DropDecision,
): Promise<void> {
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await lockProject(on, projectId);
    const [row] = await on.select().from(droppedSplices).where(eq(droppedSplices.id, spliceId));
    const [there] = await droppedAmong(on, [spliceId]);
    if (!row || !there || row.projectId !== projectId)
      throw new Problem(404, say('nothingToDecide'));
    const { splice } = row;
    if (keeps === 'splice') await refuseClash(on, splice);
    const { limits } = await getProject(on, projectId);
    await insertSplices(on, [splice], limits.wavelengths, keeps === 'splice');
    await recordDeferred(on, [spliceId]);
    if (keeps === 'splice') {
      await addToPlan(on, splice.closureId);
      await renewCircuitOrigins(on, projectId);
    } else await record(on, [{ type: 'ruling', spliceId, tryId: null, kind: 'retire', ...word }]);
  });
}

/** @throws Problem 409 where a splice cannot lie in its closure as it is planned now */
async function refuseClash(db: Db, splice: Splice): Promise<void> {
  const closure = await getClosure(db, splice.closureId);
  const placed = await closureSplices(db, closure.id, true);
  const clash = await clashAmong(db, closure, [...placed, splice]);
  if (clash) throw new Problem(409, say('plannedOtherwise', { clash: clashText(clash.message) }));
}
