import { eq } from 'drizzle-orm';
import type { Finding } from '@cordel/core/otdr';
import type { Db } from '../db/client.ts';
import { closures } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';
import { causesOf } from './causes.ts';
import { prove } from './proof.ts';
import { hasTraces } from './queries.ts';

/** A splice that traces say is to be respliced, or checked, before its tray is closed. */
export type TraceAlert = Pick<Finding, 'weight' | 'spliceIds' | 'message' | 'where'> & {
  /** When the newest of the traces that say so came in: what is spliced since is not in them. */
  at: string;
};

/** What the traces of a project say of the splices of one closure. */
export async function traceAlerts(db: Db, closureId: string): Promise<TraceAlert[]> {
  const [closure] = await db
    .select({ projectId: closures.projectId })
    .from(closures)
    .where(eq(closures.id, closureId));
  if (!closure) throw notFound('closure');
  // Most closures are spliced before anything is shot: their crews wait for nothing.
  if (!(await hasTraces(db, closure.projectId))) return [];
  const proof = await prove(db, closure.projectId);
  const receivedAt = new Map(proof.rows.map((row) => [row.id, row.receivedAt.getTime()]));
  return causesOf(proof)
    .filter(
      ({ closureId: own, weight, cause, spliceIds }) =>
        own === closureId && spliceIds.length > 0 && (weight === 'bad' || cause === 'splice'),
    )
    .map(({ weight, spliceIds, message, where, circuits }) => {
      const shots = proof.aligned.traces.filter(({ circuit }) => circuits.includes(circuit));
      const newest = Math.max(...shots.map(({ id }) => receivedAt.get(id)!));
      return { weight, spliceIds, message, where, at: new Date(newest).toISOString() };
    });
}
