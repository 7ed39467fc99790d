import { sql } from 'drizzle-orm';
import {
  type BudgetRow,
  type CircuitBudget,
  type Project,
  GRADES,
  LIGHTS,
  type WholeCircuit,
  budgetOf,
} from '@cordel/core';
import type { CircuitRoute, WhereMessage } from '@cordel/core/otdr';
import { type Db, rowsOf } from '../db/client.ts';
import { refresh } from '../ledger/refresh.ts';
import { getProject } from '../projects/queries.ts';
import { type Plant, loadPlant } from './plant.ts';
import { type Proof, prove } from './proof.ts';
import { hasTraces } from './queries.ts';
import { causesOf } from './causes.ts';

/** How sure a splice's figure is, by its grade, thousandths of a dB: an estimate sees no bend, one direction no mode field. Common practice, no source. */
const SIGMAS_MDB: Record<(typeof GRADES)[number], number> = {
  estimate: 25,
  'one-way': 60,
  insertion: 50,
  'two-way': 8,
};

/** Every circuit's budget at the project's wavelengths, those without light first. */
export async function budgetRows(db: Db, projectId: string): Promise<BudgetRow[]> {
  await refresh(db, projectId);
  const project = await getProject(db, projectId);
  const proof = (await hasTraces(db, projectId)) ? await prove(db, projectId) : null;
  const plant = proof?.plant ?? (await loadPlant(db, projectId));
  const figures = await figuresOf(db, projectId);
  const broken = new Map(
    (proof ? causesOf(proof) : [])
      .filter(({ cause, weight }) => cause === 'break' && weight === 'bad')
      .map((finding) => [finding.circuits[0]!, finding.where]),
  );
  const rows = plant.network.wholeCircuits().map((whole) =>
    rowOf(
      whole,
      whole.parts.map(({ cable, fiber, splice }) => plant.circuitOf(cable, fiber, splice)),
      { plant, project, figures, proof, broken },
    ),
  );
  const least = ({ budgets }: BudgetRow) =>
    Math.min(...budgets.map(({ marginMdb: margin }) => margin));
  return rows.sort(
    (a, b) => LIGHTS.indexOf(a.lights) - LIGHTS.indexOf(b.lights) || least(a) - least(b),
  );
}

interface SpliceFigure {
  lossHalfMdb: number | null;
  grade: number | null;
  verdict: string;
}

async function figuresOf(db: Db, projectId: string): Promise<Map<string, SpliceFigure>> {
  const rows = await rowsOf<SpliceFigure & { id: string }>(
    db,
    sql`select id, loss_half_mdb as "lossHalfMdb", grade, verdict from splices where project_id = ${projectId}`,
  );
  return new Map(rows.map((row) => [row.id, row]));
}

/** Meters of fiber from end to end: as written, and as the traces show it where they see both ends. */
function metersOf({ spans }: CircuitRoute, proof: Proof | null, circuit: string): number | null {
  const ends = proof?.aligned.traces.flatMap((trace) => {
    const own = proof.aligned.alignments.get(trace.id)!;
    if (trace.circuit !== circuit || !own.reachesEnd || own.lateM > 0) return [];
    return [trace.endM! - (own.points[0]?.positionM ?? 0)];
  });
  if (ends && ends.length > 0) return ends.reduce((sum, end) => sum + end, 0) / ends.length;
  return spans.some(({ sheathM }) => sheathM === null)
    ? null
    : spans.reduce((sum, { sheathM, helix }) => sum + sheathM! * helix, 0);
}

/** What all circuits of a project are calculated by. */
interface BudgetSetting {
  plant: Plant;
  project: Project;
  figures: ReadonlyMap<string, SpliceFigure>;
  proof: Proof | null;
  /** Where circuits are broken, by their routes. */
  broken: ReadonlyMap<string, WhereMessage[]>;
}

/** Fiber, splices and ends of a circuit, part by part where splitters are on its way. */
function rowOf(
  whole: WholeCircuit,
  routes: readonly CircuitRoute[],
  { plant, project, figures, proof, broken }: BudgetSetting,
): BudgetRow {
  const own = routes.flatMap(({ points }) =>
    points.flatMap(({ spliceId }) => (spliceId ? [figures.get(spliceId)!] : [])),
  );
  const lengths = routes.map((route) => metersOf(route, proof, route.key));
  const meters = lengths.includes(null) ? null : lengths.reduce((sum, one) => sum! + one!, 0)!;
  const ends = whole.ends.map((index) => figures.get(plant.splices[index]!.id)!);
  const joints = [...own, ...ends];
  const dead = joints.filter(({ verdict }) => verdict === 'dead').length;
  const open = joints.filter(({ verdict }) => verdict === 'open' || verdict === 'skipped').length;
  const { splitterMdb } = whole;
  const circuit = {
    lengthM: meters,
    splices: own.map(figureOf),
    // A splicer's estimate says nothing of a connector.
    ends: ends.map((end) => (end.grade === 0 ? null : figureOf(end))),
    splitterMdb,
  };
  const budgets = project.limits.wavelengths.flatMap((nm) => {
    const totals = routes.map(
      ({ key }) =>
        proof?.totals.find(({ circuit: of, wavelengthNm }) => of === key && wavelengthNm === nm)
          ?.mean,
    );
    const one = budgetOf(circuit, nm, project.budget, sumOf(totals));
    return one ? [one] : [];
  });
  const where = routes.map(({ key }) => broken.get(key)).find((known) => known !== undefined);
  const { lights, why } = verdictOf(budgets, open, dead, where ?? null, meters);
  const [origin, leaf] = [routes[0]!, routes.at(-1)!];
  const first = origin.spans[0]!;
  return {
    circuit: leaf.key,
    label: origin.label,
    cableId: first.cableId,
    fiber: first.fiber,
    from: origin.points[0]!.name,
    to: leaf.points.at(-1)!.name,
    splitters: whole.splitters.map(({ cable, output }) => ({
      name: plant.setting.cables.get(cable)!.name,
      output,
    })),
    splitterMdb,
    ends: whole.ends.length,
    lengthM: meters,
    splices: own.length,
    open,
    lights,
    why,
    budgets,
  };
}

const figureOf = ({ lossHalfMdb, grade }: SpliceFigure) =>
  lossHalfMdb === null || grade === null
    ? null
    : { lossMdb: lossHalfMdb / 2, sigmaMdb: SIGMAS_MDB[GRADES[grade]!] };

/** What the parts of a circuit lose as they were measured; null where one of them was not. */
function sumOf(totals: readonly ({ lossDb: number; sigmaDb: number } | null | undefined)[]) {
  let [loss, square] = [0, 0];
  for (const total of totals) {
    if (!total) return null;
    loss += total.lossDb;
    square += total.sigmaDb ** 2;
  }
  return { lossMdb: loss * 1000, sigmaMdb: Math.sqrt(square) * 1000 };
}

const dB = (mdb: number) => ({ lossDb: mdb / 1000, decimals: 2 });

function verdictOf(
  budgets: readonly CircuitBudget[],
  open: number,
  dead: number,
  broken: WhereMessage[] | null,
  meters: number | null,
): Pick<BudgetRow, 'lights' | 'why'> {
  if (broken !== null) return { lights: 'broken', why: { code: 'broken', where: broken } };
  if (dead > 0) return { lights: 'broken', why: { code: 'deadFiber' } };
  const worst = budgets.reduce<CircuitBudget | null>(
    (most, one) => (!most || one.marginMdb < most.marginMdb ? one : most),
    null,
  );
  if (worst && worst.marginMdb < 0)
    return {
      lights: 'no',
      why: {
        code: 'over',
        by: dB(-worst.marginMdb),
        wavelengthNm: worst.wavelengthNm,
        loss: dB(worst.measuredMdb ?? worst.madeMdb),
        most: dB(worst.limitMdb),
      },
    };
  if (open > 0) return { lights: 'not joined', why: { code: 'notSpliced', splices: open } };
  if (!worst)
    return {
      lights: 'unknown',
      why: { code: meters === null ? 'lengthUnknown' : 'noAttenuation' },
    };
  const { wavelengthNm, marginMdb: margin, marginSigmaMdb: marginSpread } = worst;
  if (margin < 2 * marginSpread)
    return {
      lights: 'unsure',
      why: { code: 'littleLeft', left: dB(margin), wavelengthNm, error: dB(2 * marginSpread) },
    };
  return { lights: 'yes', why: { code: 'left', left: dB(margin), wavelengthNm } };
}
