import { sql } from 'drizzle-orm';
import { type Leg, circuitOrigins } from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';

interface JoinRow {
  id: string;
  cableA: string;
  fiberA: number;
  legA: Leg | null;
  cableB: string;
  fiberB: number;
  legB: Leg | null;
  order: number;
}

/** Finds anew which fiber along the route each splice of a project belongs to. */
export async function renewCircuitOrigins(db: Db, projectId: string): Promise<void> {
  const joints = await rowsOf<JoinRow>(
    db,
    sql`select s.id, cable_a as "cableA", fiber_a as "fiberA", leg_a as "legA",
               cable_b as "cableB", fiber_b as "fiberB", leg_b as "legB",
               (dense_rank() over (order by c.distance nulls last, c.ordinal, c.name))::int as "order"
        from splices s join closures c on c.id = s.closure_id where s.project_id = ${projectId} and s.live
        order by "order", s.tray, s.slot, s.fiber_a`,
  );
  const origins = circuitOrigins(joints);
  for (let start = 0; start < joints.length; start += BATCH) {
    const batch = joints
      .slice(start, start + BATCH)
      .map(({ id }, index) => ({ id, ...origins[start + index]! }));
    await rowsOf(
      db,
      sql`update splices s set head_cable = h.cable, head_fiber = h.fiber
          from jsonb_to_recordset(${JSON.stringify(batch)}::jsonb) as h(id uuid, cable uuid, fiber int)
          where s.id = h.id and (s.head_cable, s.head_fiber) is distinct from (h.cable, h.fiber)`,
    );
  }
}

const BATCH = 5000;
