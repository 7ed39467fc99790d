import { isDevice } from '@cordel/core';
import { eq } from 'drizzle-orm';
import {
  type ClosingState,
  type ClosureRecord,
  closingPoints,
  closingSplices,
  closingState,
  closureRecord,
} from '@cordel/core/close';
import { closureSplices, getClosure } from '../closures/queries.ts';
import type { Db } from '../db/client.ts';
import { assemblies, plans, splices } from '../db/schema.ts';
import { evidenceOf } from '../evidence/queries.ts';
import { allHardware } from '../prep/queries.ts';
import { getCables, getProject } from '../projects/queries.ts';
import { closingOf, photosOf } from './queries.ts';

/** A closure's record as it stands, and where its closing does. */
export async function recordNow(
  db: Db,
  closureId: string,
): Promise<{ record: ClosureRecord; state: ClosingState }> {
  const closure = await getClosure(db, closureId);
  const project = await getProject(db, closure.projectId);
  const [assembly] = await db.select().from(assemblies).where(eq(assemblies.closureId, closureId));
  const [plan] = await db.select().from(plans).where(eq(plans.closureId, closureId));
  const own = await closureSplices(db, closureId, true);
  const cables = await getCables(db, closure.projectId);
  const entries = await closingOf(db, closureId);
  const record = closureRecord({
    project,
    closure,
    hardware: await allHardware(db),
    assembly: assembly ?? null,
    plan: plan ?? null,
    cables,
    splices: own,
    retired: await closureSplices(db, closureId, false),
    evidence: await evidenceOf(db, eq(splices.closureId, closureId)),
    entries,
    photos: await photosOf(db, closureId),
  });
  const names = new Map(cables.map((cable) => [cable.id, cable.name]));
  const devices = new Set(cables.filter(({ makeUp }) => isDevice(makeUp)).map((cable) => cable.id));
  const judged = closingSplices(own, record.evidence, project.limits);
  const state = closingState({
    entries,
    points: closingPoints({
      closure,
      assembly: assembly ?? { closureId, hardwareId: null, reach: 0, entries: [] },
      hardware: record.hardware,
      splices: judged,
      cableName: (id) => names.get(id) ?? id,
      isDevice: (id) => devices.has(id),
    }),
    hardware: record.hardware,
    splices: judged,
    leakLimit: project.practice.leakLimit,
  });
  return { record, state };
}
