import {
  type LossFigure,
  type ReelProblem,
  type ReelVerdict,
  judgeReel,
  measuredIso,
  reelShot,
  samplesOf,
} from '@cordel/core/otdr';
import { type Cable, fiberCount } from '@cordel/core';
import type { Db } from '../db/client.ts';
import { notFound } from '../http/problem.ts';
import { getCables, getProject } from '../projects/queries.ts';
import { foundIn, openTrace } from './facts.ts';
import { type TraceRow, listTraces, traceFiles } from './queries.ts';

/** A fiber of a cable as it was shot on its reel. */
export interface ReelRow {
  traceId: string;
  name: string;
  fiber: number;
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  measuredAt: string | null;
  lengthM: number | null;
  attenuation: LossFigure | null;
  mostDbPerKm: number | null;
  verdict: ReelVerdict;
  problems: ReelProblem[];
}

/** Shots of a cable on its reel, by fiber and wavelength: of several alike the newest. Throws a 404 problem where there is no such cable. */
export async function reelOf(
  db: Db,
  projectId: string,
  cableId: string,
): Promise<{ fibers: number; shots: ReelRow[] }> {
  const cable = (await getCables(db, projectId)).find(({ id }) => id === cableId);
  if (!cable) throw notFound('cable');
  const { budget } = await getProject(db, projectId);
  const rows = newestOf(
    (await listTraces(db, projectId)).filter(
      ({ place }) => place?.stage === 'reel' && place.cableId === cableId,
    ),
  );
  const files = new Map(
    (
      await traceFiles(
        db,
        rows.map(({ id }) => id),
      )
    ).map((file) => [file.id, file]),
  );
  const shots = rows.map((row): ReelRow => {
    const { name, bytes } = files.get(row.id)!;
    const file = openTrace(name, bytes);
    const samples = samplesOf(file);
    const { lengthM, attenuation, steps } = reelShot(samples, foundIn(file, samples));
    const wavelengthNm = row.place!.wavelengthNm!;
    const glass = budget.glass.find((one) => one.wavelengthNm === wavelengthNm);
    const mostDbPerKm = glass ? glass.most / 1000 : null;
    return {
      traceId: row.id,
      name,
      fiber: row.place!.fiber!,
      direction: row.place!.direction!,
      wavelengthNm,
      measuredAt: measuredIso(row.facts),
      lengthM,
      attenuation,
      mostDbPerKm,
      ...judgeReel(
        { lengthM, attenuation, steps },
        { wavelengthNm, mostDbPerKm, ...sheathOf(cable) },
      ),
    };
  });
  return { fibers: fiberCount(cable.makeUp), shots };
}

const sheathOf = ({ run }: Cable) => ({
  sheathM: run.reel?.length == null ? null : run.reel.length / 10_000,
  helix: run.helix / 10_000,
});

/** The newest shot of each fiber, end and wavelength, in the order of fibers. */
function newestOf(rows: readonly TraceRow[]): TraceRow[] {
  const newest = new Map<string, TraceRow>();
  for (const row of rows) {
    const { fiber, direction, wavelengthNm } = row.place!;
    const key = `${fiber} ${direction} ${wavelengthNm}`;
    const held = newest.get(key);
    if (!held || held.facts.measuredAtS <= row.facts.measuredAtS) newest.set(key, row);
  }
  return [...newest.values()].sort(
    (a, b) => a.place!.fiber! - b.place!.fiber! || a.place!.wavelengthNm! - b.place!.wavelengthNm!,
  );
}
