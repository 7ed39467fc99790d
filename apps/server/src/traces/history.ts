import {
  type AlignedTrace,
  type LossFigure,
  type ProofTrace,
  type ReelChange,
  type ShotChange,
  type TraceFigures,
  alignTrace,
  isFused,
  measureTrace,
  reelChange,
  rescaled,
  samplesOf,
  shotChanges,
} from '@cordel/core/otdr';
import type { Db } from '../db/client.ts';
import { openTrace } from './facts.ts';
import type { Proof } from './proof.ts';
import { traceFiles } from './queries.ts';
import { reelOf } from './reel.ts';

/** Shots of a fiber from one end at one wavelength, oldest first. */
export interface ShotSeries {
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  shots: { id: string; name: string; measuredAt: string | null; total: LossFigure | null }[];
  changes: ShotChange[];
  /** Each cable on its way that was shot on its reel at this wavelength, by its place: the span behind the point. */
  reels: (ReelChange & { span: number; number: string | null; measuredAt: string | null })[];
}

/** Group indexes that differ by less are the same. */
const SAME_INDEX = 0.002;

/** A shot that ends at an open splice or a break has no loss from end to end. */
const endToEnd = (figures: TraceFigures, { reachesEnd }: AlignedTrace): TraceFigures =>
  reachesEnd ? figures : { ...figures, total: null };

const seen = ({ id }: ProofTrace, { figures, aligned }: Proof): TraceFigures =>
  endToEnd(figures.get(id)!, aligned.alignments.get(id)!);

/** All shots of a circuit, measured at the places where its newest ones have their events. */
export async function shotHistory(
  db: Db,
  projectId: string,
  proof: Proof,
  cableId: string,
  fiber: number,
): Promise<ShotSeries[]> {
  const { key, points, spans } = proof.plant.circuitOf(cableId, fiber);
  const onReel = new Map(
    await Promise.all(
      [...new Set(spans.map((span) => span.cableId))].map(
        async (id) => [id, await reelOf(db, projectId, id)] as const,
      ),
    ),
  );
  const earlier = proof.aligned.earlier.filter(({ circuit }) => circuit === key);
  const files = new Map(
    (
      await traceFiles(
        db,
        earlier.map(({ id }) => id),
      )
    ).map((file) => [file.id, file]),
  );
  return proof.aligned.traces
    .filter(({ circuit }) => circuit === key)
    .map((newest): ShotSeries => {
      const { direction, wavelengthNm } = newest;
      const isSame = (other: ProofTrace) =>
        other.direction === direction && other.wavelengthNm === wavelengthNm;
      const inOrder = <Point>(list: readonly Point[]) =>
        direction === 'AB' ? list : [...list].reverse();
      const shotOf = (trace: ProofTrace): { trace: ProofTrace; figures: TraceFigures } => {
        if (trace === newest) return { trace, figures: seen(newest, proof) };
        const usual = newest.groupIndex / proof.aligned.indexRatio.get(newest.id)!;
        const ratio = trace.groupIndex / usual;
        const by = Math.abs(ratio - 1) > SAME_INDEX ? ratio : 1;
        const { name, bytes } = files.get(trace.id)!;
        const samples = samplesOf(openTrace(name, bytes));
        const aligned = alignTrace(
          rescaled(trace, by),
          proof.aligned.group(newest),
          isFused(proof.circuits.get(key)!),
        );
        const figures = measureTrace(
          { ...samples, spacing: samples.spacing * by, first: samples.first * by },
          aligned,
        );
        return { trace, figures: endToEnd(figures, aligned) };
      };
      const shots = [...earlier.filter(isSame), newest].map(shotOf);
      const glass = inOrder(proof.figures.get(newest.id)!.attenuationDbPerKm.slice(0, -1));
      return {
        direction,
        wavelengthNm,
        reels: spans.flatMap((span, index) => {
          const shot = onReel
            .get(span.cableId)!
            .shots.find((one) => one.fiber === span.fiber && one.wavelengthNm === wavelengthNm);
          const [now, lengthM] = [glass[index], shot?.lengthM];
          if (!shot?.attenuation || now == null || lengthM == null) return [];
          return [
            {
              span: index,
              number: proof.plant.setting.cables.get(span.cableId)!.run.reel?.number ?? null,
              measuredAt: shot.measuredAt,
              ...reelChange(shot.attenuation, now, lengthM),
            },
          ];
        }),
        shots: shots.map(({ trace: { id, name, measuredAtMs }, figures: { total } }) => ({
          id,
          name,
          measuredAt: measuredAtMs === null ? null : new Date(measuredAtMs).toISOString(),
          total,
        })),
        changes: shotChanges(
          shots.map(({ trace, figures }) => ({
            traceId: trace.id,
            // What lies at the ends is the instrument's own connector.
            points: inOrder(figures.points).map((figure, point) =>
              point === 0 || point === points.length - 1 ? null : figure,
            ),
            total: figures.total,
          })),
        ),
      };
    });
}
