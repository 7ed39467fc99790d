import { signedBy } from '../accounts/actor.ts';
import { keepReceipts, receiptOf } from '../accounts/receipts.ts';
import { inOneTransaction } from '../db/oneTransaction.ts';
import { recordInProject } from '../clocks/recordInProject.ts';
import { atPlace, Problem } from '../http/problem.ts';
import { router } from '../http/router.ts';
import { getProject } from '../projects/queries.ts';
import { traceAlerts } from './alerts.ts';
import * as api from './api.ts';
import { budgetRows } from './budget.ts';
import { causesOf } from './causes.ts';
import { circuitView } from './circuit.ts';
import { shoot } from './otdr.ts';
import { shotHistory } from './history.ts';
import { circuitEnds, loadPlant } from './plant.ts';
import { prove } from './proof.ts';
import { reelOf } from './reel.ts';
import {
  keepTrace,
  listTraces,
  placeTraces,
  refuseStrayPlaces,
  traceFile,
  traceOf,
  traceRow,
} from './queries.ts';
import { bytesOf, dropUpload } from '../uploads/queries.ts';
import { ledgerFigures, putFigures } from './readings.ts';
import { tracesProblems as say } from '@cordel/text/server/traces';

const counted = <Key extends string>(list: readonly Key[]): Record<Key, number> => {
  const counts = {} as Record<Key, number>;
  for (const key of list) counts[key] = (counts[key] ?? 0) + 1;
  return counts;
};

export const traceRoutes = router()
  .openapi(api.postTrace, async (c) => {
    const { projectId } = c.req.valid('param');
    const { db, actor } = c.var;
    const { id, name, place: said, ...sent } = c.req.valid('json');
    const place = said && signedBy(actor, said);
    await getProject(c.var.db, projectId);
    if (place && place.traceId !== id)
      throw new Problem(422, say('placeOfOtherTrace'), [
        atPlace('/place/traceId', say('otherTraceId')),
      ]);
    if (place) await refuseStrayPlaces(c.var.db, projectId, [place], () => '/place', id);
    const known = sent.file && (await traceOf(c.var.db, projectId, sent.file.digest));
    if (known) return c.json({ id: known, known: true }, 200);
    const bytes = await bytesOf(c.var.db, sent);
    const row = traceRow({ id, projectId, name, bytes });
    const kept = await inOneTransaction(db, async (on) => {
      const held = await keepTrace(on, row);
      // What is here already stays where it was put.
      if (held.known) return held;
      if (place) await placeTraces(on, [place]);
      await keepReceipts(on, actor, projectId, [{ id }, ...(place ? [place] : [])]);
      return held;
    });
    if (sent.file) await dropUpload(c.var.db, sent.file.digest);
    return c.json({ id: kept.id, known: kept.known }, 200);
  })
  .openapi(api.list, async (c) => {
    const { projectId } = c.req.valid('param');
    await getProject(c.var.db, projectId);
    const rows = await listTraces(c.var.db, projectId);
    return c.json(
      rows.map((row) => ({ ...row, receivedAt: row.receivedAt.toISOString() })),
      200,
    );
  })
  .openapi(api.places, async (c) => {
    const { db, actor } = c.var;
    const { projectId } = c.req.valid('param');
    const entries = c.req.valid('json').entries.map((entry) => signedBy(actor, entry));
    await refuseStrayPlaces(db, projectId, entries, (index) => `/entries/${index}`);
    await recordInProject(c.var, projectId, entries, (on, ours) => placeTraces(on, ours));
    return c.json({ placed: entries.length }, 200);
  })
  .openapi(api.file, async (c) => {
    const { name, bytes } = await traceFile(c.var.db, c.req.valid('param').traceId);
    const plain = name.replace(/[^\w. -]+/g, '_');
    return c.body(bytes.slice().buffer, 200, {
      'content-type': 'application/octet-stream',
      'content-disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`,
    });
  })
  .openapi(api.proof, async (c) => {
    const { projectId } = c.req.valid('param');
    const all = await prove(c.var.db, projectId);
    const { fresh, there, held } = await ledgerFigures(c.var.db, all, {
      by: 'Traces',
      at: new Date().toISOString(),
    });
    return c.json(
      {
        traces: all.rows.length,
        unplaced: all.rows.filter(({ place }) => place === null).length,
        circuits: [...all.circuits.values()].map(({ key, label, points }) => ({
          key,
          label,
          to: points.at(-1)!.name,
        })),
        scale: all.aligned.fit.scale,
        corrections: all.aligned.fit.corrections.map(({ kind, closureId, message }) => ({
          kind,
          closureId,
          message,
        })),
        problems: all.problems,
        findings: causesOf(all),
        ledger: { fresh: fresh.length, there, held },
      },
      200,
    );
  })
  .openapi(api.put, async (c) => {
    const { projectId } = c.req.valid('param');
    const all = await prove(c.var.db, projectId);
    const { db, actor } = c.var;
    const { fresh } = await ledgerFigures(db, all, signedBy(actor, c.req.valid('json')));
    const receipt = receiptOf(actor);
    const recorded = await putFigures(db, fresh, receipt && { ...receipt, projectId });
    return c.json({ recorded }, 200);
  })
  .openapi(api.circuit, async (c) => {
    const { projectId, cableId, fiber } = c.req.valid('param');
    return c.json(circuitView(await prove(c.var.db, projectId), cableId, fiber), 200);
  })
  .openapi(api.history, async (c) => {
    const { projectId, cableId, fiber } = c.req.valid('param');
    const { db } = c.var;
    return c.json(
      await shotHistory(db, projectId, await prove(db, projectId), cableId, fiber),
      200,
    );
  })
  .openapi(api.alerts, async (c) =>
    c.json(await traceAlerts(c.var.db, c.req.valid('param').closureId), 200),
  )
  .openapi(api.reels, async (c) => {
    const { projectId, cableId } = c.req.valid('param');
    return c.json(await reelOf(c.var.db, projectId, cableId), 200);
  })
  .openapi(api.ends, async (c) => {
    const { projectId, cableId } = c.req.valid('param');
    return c.json(circuitEnds(await loadPlant(c.var.db, projectId), cableId), 200);
  })
  .openapi(api.budget, async (c) => {
    const { offset, limit } = c.req.valid('query');
    const rows = await budgetRows(c.var.db, c.req.valid('param').projectId);
    return c.json(
      {
        total: rows.length,
        counts: counted(rows.map(({ lights }) => lights)),
        rows: rows.slice(offset, offset + limit),
      },
      200,
    );
  })
  .openapi(api.otdr, async (c) => {
    const { name, bytes } = await shoot(
      c.var.db,
      c.req.valid('param').projectId,
      c.req.valid('json'),
    );
    return c.json({ name, bytes: Buffer.from(bytes).toString('base64') }, 200);
  });
