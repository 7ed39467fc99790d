import { sql } from 'drizzle-orm';
import type { Splice } from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import type { judgedOf } from '../ledger/refresh.ts';

const BATCH = 5000;

/**
 * Adds planned splices in batches. Their heads are to be renewed once all are in.
 * @param wavelengths what the project measures at, in nm: all of it is missing at first
 * @param isLive false for splices that were removed
 */
export async function insertSplices(
  db: Db,
  splices: readonly Splice[],
  wavelengths: readonly number[],
  isLive = true,
): Promise<void> {
  for (let start = 0; start < splices.length; start += BATCH) {
    const batch = splices.slice(start, start + BATCH);
    await rowsOf(
      db,
      sql`insert into splices (id, project_id, closure_id, tray, slot, cable_a, fiber_a, leg_a, cable_b, fiber_b, leg_b, method, end_way, extra, live, head_cable, head_fiber, missing)
          select "id", "projectId", "closureId", "tray", "slot", "cableA", "fiberA", "legA", "cableB", "fiberB", "legB", "method", "end", "extra", ${isLive}::bool, "cableA", "fiberA", ${`{${wavelengths.join(',')}}`}::smallint[]
          from jsonb_to_recordset(${JSON.stringify(batch)}::jsonb)
            as s("id" uuid, "projectId" uuid, "closureId" uuid, "tray" int, "slot" int, "cableA" uuid, "fiberA" int, "legA" text, "cableB" uuid, "fiberB" int, "legB" text, "method" text, "end" text, "extra" jsonb)`,
    );
  }
  // The embedded database does not count its rows anew by itself; without it, its plans go by the old count.
  if (splices.length >= BATCH) await rowsOf(db, sql`analyze splices`);
}

/** A splice with its place along the route, and what its evidence makes of it. */
export type JudgedSplice = Splice & {
  live: boolean;
  headCable: string;
  headFiber: number;
} & Omit<ReturnType<typeof judgedOf>, 'id'>;

/** Inserts splices with all their columns, in one statement. */
export async function insertJudged(db: Db, splices: readonly JudgedSplice[]): Promise<void> {
  await rowsOf(
    db,
    sql`insert into splices (id, project_id, closure_id, tray, slot, cable_a, fiber_a, leg_a, cable_b, fiber_b, leg_b, method, end_way, extra, live, head_cable, head_fiber,
          verdict, redo, grade, loss_half_mdb, wavelength_nm, tries, missing, origin, made_by, made_at, ruling, figures)
        select "id", "projectId", "closureId", "tray", "slot", "cableA", "fiberA", "legA", "cableB", "fiberB", "legB", "method", "end", "extra", "live", "headCable", "headFiber",
          "verdict", "redo", "grade", "lossHalfMdb", "wavelengthNm", "tries", "missing", "origin", "madeBy", "madeAt", "ruling", "figures"
        from jsonb_to_recordset(${JSON.stringify(splices)}::jsonb)
          as s("id" uuid, "projectId" uuid, "closureId" uuid, "tray" int, "slot" int, "cableA" uuid, "fiberA" int, "legA" text, "cableB" uuid, "fiberB" int, "legB" text,
            "method" text, "end" text, "extra" jsonb, "live" bool, "headCable" uuid, "headFiber" int, "verdict" text, "redo" bool, "grade" smallint, "lossHalfMdb" int,
            "wavelengthNm" int, "tries" smallint, "missing" smallint[], "origin" text, "madeBy" text, "madeAt" timestamptz, "ruling" jsonb, "figures" jsonb)`,
  );
}
