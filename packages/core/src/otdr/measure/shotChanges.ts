import type { LossFigure } from './pairTraces.ts';

/** What one shot of a fiber says at the points of its circuit, in the circuit's order. dB. */
export interface Shot {
  traceId: string;
  points: readonly (LossFigure | null)[];
  /** From end to end, where it sees both. */
  total: LossFigure | null;
}

/** How a place of a fiber changed from its first shot to its newest. dB. */
export interface ShotChange {
  /** Place along the circuit; null for the whole of it. */
  point: number | null;
  first: LossFigure;
  newest: LossFigure;
  /** Above zero where it loses more now. */
  byDb: number;
  sigmaDb: number;
  /** `moved` is sure, `maybe` is to be shot once more. */
  verdict: 'moved' | 'maybe' | 'same';
}

/** What two shots of the same joint differ by without a change, dB: launch, instrument, temperature (common practice, no source). */
const REPEATED = 0.01;
/** From so many deviations on a change is sure, and to be looked at. */
const SURE = 4;
const LOOK = 2.5;

/**
 * What moved between the first and the newest shot of a fiber from one end at one wavelength, the largest change first.
 * @param shots oldest first, each measured at the same points
 */
export function shotChanges(shots: readonly Shot[]): ShotChange[] {
  const [first, newest] = [shots[0], shots.at(-1)];
  if (!first || !newest || first === newest) return [];
  const changes = newest.points.map((figure, point) =>
    changeOf(point, first.points[point] ?? null, figure),
  );
  changes.push(changeOf(null, first.total, newest.total));
  return changes
    .filter((change) => change !== null)
    .sort((a, b) => Math.abs(b.byDb) / b.sigmaDb - Math.abs(a.byDb) / a.sigmaDb);
}

function changeOf(
  point: number | null,
  first: LossFigure | null,
  newest: LossFigure | null,
): ShotChange | null {
  if (!first || !newest) return null;
  const by = newest.lossDb - first.lossDb;
  const sigma = Math.hypot(first.sigmaDb, newest.sigmaDb, REPEATED);
  return { point, first, newest, byDb: by, sigmaDb: sigma, verdict: changeVerdict(by, sigma) };
}

/** How sure a change is, by how many of its deviations it is. */
export function changeVerdict(byDb: number, sigmaDb: number): ShotChange['verdict'] {
  const deviations = Math.abs(byDb) / sigmaDb;
  return deviations >= SURE ? 'moved' : deviations >= LOOK ? 'maybe' : 'same';
}
