import {
  type BudgetRow,
  type FiberReason,
  type FiberVerdict,
  type LinkState,
  type LinkVerdict,
  NO_LINK_STATE,
  VERDICTS,
  type Verdict,
  fiberVerdict,
  judgeLink,
  linkStates,
} from '@cordel/core';
import { type Finding, type LossFigure, measuredIso } from '@cordel/core/otdr';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { linksOf } from '../links/queries.ts';
import { getProject } from '../projects/queries.ts';
import { budgetRows } from '../traces/budget.ts';
import { circuitView } from '../traces/circuit.ts';
import { prove } from '../traces/proof.ts';

/** A splice on a fiber's way, as it is judged, with what traces of each wavelength show. */
interface ProvedSplice {
  name: string;
  tray: number | null;
  /** Where it is an end at a port. */
  port: string | null;
  verdict: Verdict;
  figures: {
    wavelengthNm: number;
    forward: LossFigure | null;
    backward: LossFigure | null;
    mean: LossFigure | null;
  }[];
}

/** All that proves one fiber, from port to port. */
export interface FiberProof {
  cableId: string;
  fiber: number;
  label: string;
  from: string;
  to: string;
  lengthM: number;
  practiceOnly: boolean;
  splices: ProvedSplice[];
  totals: {
    wavelengthNm: number;
    AB: LossFigure | null;
    BA: LossFigure | null;
    mean: LossFigure | null;
  }[];
  budget: Pick<BudgetRow, 'budgets' | 'why' | 'lights'> | null;
  findings: Finding[];
  link: LinkVerdict;
  state: LinkState;
  traces: {
    id: string;
    name: string;
    direction: 'AB' | 'BA';
    wavelengthNm: number;
    measuredAt: string | null;
  }[];
  verdict: FiberVerdict;
  reasons: FiberReason[];
}

/** Gathers what proves the fiber. Throws a 404 problem where there is none. */
export async function fiberProof(
  db: Db,
  projectId: string,
  cableId: string,
  fiber: number,
): Promise<FiberProof> {
  const project = await getProject(db, projectId);
  const proof = await prove(db, projectId);
  const circuit = circuitView(proof, cableId, fiber);
  const row = (await budgetRows(db, projectId)).find(({ circuit: key }) => key === circuit.key);
  const verdicts = await verdictsOf(db, projectId);
  const route = proof.plant.circuitOf(cableId, fiber);
  const own = new Set(route.spans.map((span) => `${span.cableId} ${span.fiber}`));
  const state =
    linkStates(await linksOf(db, projectId), (on, number) =>
      own.has(`${on} ${number}`) ? circuit.key : null,
    ).get(circuit.key) ?? NO_LINK_STATE;
  const budgets = row?.budgets ?? [];
  const link = judgeLink(state, budgets, project.budget.connector.usual);
  const passed = circuit.points.flatMap((point, index): ProvedSplice[] =>
    point.spliceId === null
      ? []
      : [
          {
            name: point.name,
            tray: point.tray,
            port: null,
            verdict: verdicts.get(point.spliceId) ?? 'open',
            figures: circuit.splices
              .filter((figured) => figured.point === index)
              .map(({ wavelengthNm, forward, backward, mean }) => ({
                wavelengthNm,
                forward,
                backward,
                mean,
              })),
          },
        ],
  );
  // Ends at ports, which an OTDR does not see.
  const known = new Set(circuit.points.map(({ spliceId }) => spliceId));
  const ends = proof.plant.splices
    .filter(
      ({ id, cableA, fiberA, cableB, fiberB }) =>
        !known.has(id) && (own.has(`${cableA} ${fiberA}`) || own.has(`${cableB} ${fiberB}`)),
    )
    .map(({ id, closure, cableB, fiberB }): ProvedSplice => ({
      name: proof.plant.setting.closures.get(closure)!.name,
      tray: null,
      port: `${proof.plant.setting.cables.get(cableB)!.name} ${fiberB}`,
      verdict: verdicts.get(id) ?? 'open',
      figures: [],
    }));
  const splices = [...passed, ...ends];
  const measured = new Map(proof.rows.map(({ id, facts }) => [id, measuredIso(facts)] as const));
  return {
    cableId,
    fiber,
    label: circuit.label,
    from: circuit.points[0]!.name,
    to: circuit.points.at(-1)!.name,
    lengthM: circuit.lengthM,
    practiceOnly: project.practiceOnly,
    splices,
    totals: circuit.totals.map(({ wavelengthNm, AB, BA, mean }) => ({
      wavelengthNm,
      AB,
      BA,
      mean,
    })),
    budget: row ? { budgets, why: row.why, lights: row.lights } : null,
    findings: circuit.findings,
    link,
    state,
    traces: circuit.traces.map(({ id, name, direction, wavelengthNm }) => ({
      id,
      name,
      direction,
      wavelengthNm,
      measuredAt: measured.get(id) ?? null,
    })),
    ...fiberVerdict({
      splices,
      wavelengths: project.limits.wavelengths,
      tracedNm: circuit.totals.flatMap(({ wavelengthNm, mean }) => (mean ? [wavelengthNm] : [])),
      budgets,
      badFindings: circuit.findings.filter(({ weight }) => weight === 'bad').length,
      link,
    }),
  };
}

async function verdictsOf(db: Db, projectId: string): Promise<ReadonlyMap<string, Verdict>> {
  const rows = await rowsOf<{ id: string; verdict: string }>(
    db,
    sql`select id, verdict from splices where project_id = ${projectId}`,
  );
  return new Map(
    rows.map(({ id, verdict }) => [id, VERDICTS.find((known) => known === verdict) ?? 'open']),
  );
}
