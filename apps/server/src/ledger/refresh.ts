import { eq, sql } from 'drizzle-orm';
import {
  type Evidence,
  gradeRank,
  judgeSplice,
  spliceStateOf,
  type Limits,
  type JointKind,
} from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import { projects, splices } from '../db/schema.ts';
import { shared } from '../db/shared.ts';
import { bySplice, evidenceOf, idArray } from '../evidence/queries.ts';

const BATCH = 2000;

/**
 * Judges anew every splice of a project whose evidence or limits have changed. Recording marks a
 * splice in the same statement as its evidence, so nothing that is recorded can be missed.
 */
export const refresh = (db: Db, projectId: string): Promise<void> =>
  shared(db, `refresh ${projectId}`, async () => {
    while ((await refreshBatch(db, projectId)) === BATCH);
  });

async function refreshBatch(db: Db, projectId: string): Promise<number> {
  const [waiting] = await rowsOf(
    db,
    sql`select 1 from stale_splices where project_id = ${projectId} limit 1`,
  );
  if (!waiting) return 0;
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    const taken = await rowsOf<{ id: string }>(
      on,
      sql`delete from stale_splices where splice_id in (
            select splice_id from stale_splices where project_id = ${projectId} order by splice_id limit ${BATCH} for update)
          returning splice_id as id`,
    );
    const ids = taken.map(({ id }) => id);
    const [project] = await tx
      .select({ limits: projects.limits })
      .from(projects)
      .where(eq(projects.id, projectId));
    const picked = sql`${splices.id} = any(${idArray(ids)}::uuid[])`;
    const joints = await tx
      .select({ id: splices.id, method: splices.method, end: splices.end })
      .from(splices)
      .where(picked);
    const evidence = bySplice(await evidenceOf(on, picked));
    const judged = joints.map((joint) =>
      judgedOf(joint.id, joint, evidence.get(joint.id) ?? [], project!.limits),
    );
    await rowsOf(
      on,
      sql`update splices s set verdict = j.verdict, redo = j.redo, grade = j.grade, loss_half_mdb = j."lossHalfMdb",
            wavelength_nm = j."wavelengthNm", tries = j.tries, missing = j.missing, origin = j.origin,
            made_by = j."madeBy", made_at = j."madeAt", ruling = j.ruling, figures = j.figures
          from jsonb_to_recordset(${JSON.stringify(judged)}::jsonb)
            as j(id uuid, verdict text, redo bool, grade smallint, "lossHalfMdb" int, "wavelengthNm" int, tries smallint, missing smallint[],
              origin text, "madeBy" text, "madeAt" timestamptz, ruling jsonb, figures jsonb)
          where s.id = j.id`,
    );
    return ids.length;
  });
}

/** The derived columns of a splice, by its evidence in the order in which it was recorded. */
export function judgedOf(id: string, joint: JointKind, evidence: Evidence[], limits: Limits) {
  const spliceState = spliceStateOf(evidence);
  const { verdict, redo, figure, tries, missing } = judgeSplice(spliceState, joint, limits);
  const last = spliceState.tries.at(-1);
  const { ruling } = spliceState;
  return {
    id,
    verdict,
    redo,
    grade: figure ? gradeRank(figure.grade) : null,
    lossHalfMdb: figure?.lossHalfMdb ?? null,
    wavelengthNm: figure?.wavelengthNm ?? null,
    tries,
    missing,
    origin: figure?.origin ?? null,
    madeBy: last?.by ?? null,
    madeAt: last?.at ?? null,
    ruling: ruling && { kind: ruling.kind, by: ruling.by, at: ruling.at, why: ruling.why },
    figures: spliceState.figures,
  };
}
