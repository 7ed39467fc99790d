import { createHash } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { type Limits, fibersASleeve } from '@cordel/core';
import {
  type CircuitRoute,
  type SpliceProof,
  type AlignedTraces,
  type ProofProblem,
  type ProofTrace,
  type SplicePlace,
  type TotalProof,
  type TraceFigures,
  findOtherWavelengths,
  findSwappedFibers,
  alignTraces,
  measureTrace,
  measuredMs,
  missingOf,
  namesOf,
  pairTraces,
  samplesOf,
} from '@cordel/core/otdr';
import { type Db, rowsOf } from '../db/client.ts';
import { traceFigures, traces } from '../db/schema.ts';
import { idArray } from '../evidence/queries.ts';
import { refresh } from '../ledger/refresh.ts';
import { getProject } from '../projects/queries.ts';
import { FINDER, type FoundInTrace, foundIn, openTrace } from './facts.ts';
import { type FiberCut, Plant, type PlantSplice, loadPlant } from './plant.ts';
import { type TraceRow, listTraces, traceFile, traceFiles } from './queries.ts';

/** All that a project's traces prove. */
export interface Proof {
  plant: Plant;
  limits: Limits;
  rows: TraceRow[];
  circuits: Map<string, CircuitRoute>;
  aligned: AlignedTraces;
  figures: Map<string, TraceFigures>;
  /** Splices with what both directions show, one entry a wavelength. */
  figured: SpliceProof[];
  totals: TotalProof[];
  problems: ProofProblem[];
  splices: Map<string, SplicePlace>;
}

/** Traces measured at a time: between them the server answers others. */
const BATCH = 16;

/** Aligns, measures and pairs all traces of a project. What was measured before is taken from where it is kept. */
export async function prove(db: Db, projectId: string): Promise<Proof> {
  const { limits, budget } = await getProject(db, projectId);
  // How often a splice was fused is a judged column.
  await refresh(db, projectId);
  const plant = await loadPlant(db, projectId);
  const rows = await listTraces(db, projectId);
  const found = await foundOf(db, projectId);
  const circuits = new Map<string, CircuitRoute>();
  const past = new Map<string, { cut: FiberCut; shots: TraceRow[] }>();
  const list = rows.flatMap((row): ProofTrace[] => {
    const { place, facts } = row;
    // What was shot on the reel saw its cable alone.
    if (!place?.cableId || !place.fiber || place.stage === 'reel') return [];
    // A cable may have fewer fibers by now than when the trace was placed.
    if (!plant.hasFiber(place.cableId, place.fiber)) return [];
    const route = plant.circuitOf(place.cableId, place.fiber);
    const cut = plant.lastCut(route);
    const at = measuredMs(facts);
    if (cut && at !== null && at < cut.at) {
      const key = `${cut.closureId} ${cut.at}`;
      past.set(key, { cut, shots: [...(past.get(key)?.shots ?? []), row] });
      return [];
    }
    circuits.set(route.key, route);
    const { events, endM, fadedM } = found.get(row.id)!;
    return [
      {
        id: row.id,
        name: row.name,
        circuit: route.key,
        direction: place.direction!,
        wavelengthNm: place.wavelengthNm!,
        events,
        endM,
        fadedM,
        rangeM: facts.rangeM,
        groupIndex: facts.groupIndex,
        measuredAtMs: measuredMs(facts),
        samplesDigest: facts.samplesDigest,
      },
    ];
  });
  const aligned = alignTraces(circuits, list);
  const figures = await measured(db, aligned);
  const { splices: figured, totals } = pairTraces(aligned, circuits, figures);
  const used = new Set(
    [...circuits.values()].flatMap(({ points }) => points.map(({ spliceId }) => spliceId)),
  );
  return {
    plant,
    limits,
    rows,
    circuits,
    aligned,
    figures,
    figured,
    totals,
    problems: [
      ...pastProblems(plant, [...past.values()]),
      ...aligned.problems,
      ...missingOf(aligned.traces, circuits),
      ...findSwappedFibers(aligned, circuits, figures),
      ...findOtherWavelengths(
        aligned,
        figures,
        budget.glass.map(({ wavelengthNm, usual }) => ({
          wavelengthNm,
          usualDbPerKm: usual / 1000,
        })),
      ),
    ],
    splices: new Map(
      plant.splices.flatMap((splice) =>
        used.has(splice.id) ? [[splice.id, placeOf(splice, plant, limits)] as const] : [],
      ),
    ),
  };
}

/** Traces of circuits that are no more: what they showed stays in the Ledger with the splices of then. */
const pastProblems = (
  plant: Plant,
  past: readonly { cut: FiberCut; shots: TraceRow[] }[],
): ProofProblem[] =>
  past.map(({ cut, shots }) => ({
    kind: 'cut over since',
    circuit: null,
    traces: shots.map(({ id }) => id),
    message: {
      code: 'cutOverSince',
      files: namesOf(shots),
      closure: plant.setting.closures.get(cut.closureId)!.name,
      day: { dayOf: new Date(cut.at).toISOString() },
    },
  }));

/** What was found in the traces; those that an older finder looked at are looked at again. */
async function foundOf(db: Db, projectId: string): Promise<Map<string, FoundInTrace>> {
  const rows = await db
    .select({ id: traces.id, found: traces.found })
    .from(traces)
    .where(eq(traces.projectId, projectId));
  const found = new Map(rows.map(({ id, found: own }) => [id, own]));
  for (const { id, found: own } of rows) {
    if (own.finder === FINDER) continue;
    const fresh = foundIn(await traceOf(db, id));
    await db.update(traces).set({ found: fresh }).where(eq(traces.id, id));
    found.set(id, fresh);
  }
  return found;
}

async function traceOf(db: Db, id: string) {
  const { name, bytes } = await traceFile(db, id);
  return openTrace(name, bytes);
}

async function measured(db: Db, proof: AlignedTraces): Promise<Map<string, TraceFigures>> {
  const keys = new Map(proof.traces.map(({ id }) => [id, keyOf(proof, id)]));
  const kept = await db
    .select()
    .from(traceFigures)
    .where(sql`${traceFigures.traceId} = any(${idArray([...keys.keys()])}::uuid[])`);
  const figures = new Map<string, TraceFigures>();
  for (const row of kept)
    if (keys.get(row.traceId) === row.key) figures.set(row.traceId, row.figures);
  const left = [...keys].filter(([id]) => !figures.has(id));
  for (let start = 0; start < left.length; start += BATCH) {
    const batch = left.slice(start, start + BATCH);
    const files = await traceFiles(
      db,
      batch.map(([id]) => id),
    );
    const fresh = files.map(({ id, name, bytes }) => {
      const samples = samplesOf(openTrace(name, bytes));
      const by = proof.indexRatio.get(id)!;
      const own = measureTrace(
        { ...samples, spacing: samples.spacing * by, first: samples.first * by },
        proof.alignments.get(id)!,
      );
      figures.set(id, own);
      return { traceId: id, key: keys.get(id)!, figures: own };
    });
    await rowsOf(
      db,
      sql`insert into trace_figures (trace_id, key, figures)
          select "traceId", "key", "figures" from jsonb_to_recordset(${JSON.stringify(fresh)}::jsonb) as r("traceId" uuid, "key" text, "figures" jsonb)
          on conflict (trace_id) do update set key = excluded.key, figures = excluded.figures`,
    );
    // Let others in.
    await new Promise((next) => setImmediate(next));
  }
  return figures;
}

/** The form of the kept figures: one more, and all are measured anew. */
const FIGURES = 3;

/** Where a trace is measured, to the half meter. */
function keyOf(proof: AlignedTraces, id: string): string {
  const { points, unmatched, early } = proof.alignments.get(id)!;
  const half = (meters: number) => Math.round(2 * meters);
  const text = JSON.stringify([
    FINDER,
    FIGURES,
    proof.indexRatio.get(id),
    points.map((point) => point && [half(point.positionM), half(point.sigmaM)]),
    unmatched.map(({ event, kind }) => [half(event.positionM), kind]),
    early && half(early.positionM),
  ]);
  return createHash('sha256').update(text).digest('hex');
}

function placeOf(splice: PlantSplice, plant: Plant, limits: Limits): SplicePlace {
  const dB = (grade: 'two-way' | 'one-way') => {
    const limit = limits.splice[grade][splice.method];
    return limit === null ? null : limit / 1000;
  };
  const name = (id: string) => plant.setting.cables.get(id)!.name;
  const makeUp = (id: string) => plant.setting.cables.get(id)!.makeUp;
  const ribbon = fibersASleeve(makeUp(splice.cableA), makeUp(splice.cableB));
  return {
    id: splice.id,
    closureId: splice.closure,
    closure: plant.setting.closures.get(splice.closure)!.name,
    tray: splice.tray,
    slot: splice.slot,
    label: `${name(splice.cableA)} ${splice.fiberA} to ${name(splice.cableB)} ${splice.fiberB}`,
    mass: splice.method === 'mass',
    made: splice.tries > 0,
    position: splice.method === 'mass' ? ((splice.fiberA - 1) % ribbon) + 1 : null,
    limitDb: { mean: dB('two-way'), oneWay: dB('one-way') },
  };
}
