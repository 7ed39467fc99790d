import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import type { TraceFigures } from './measureTrace.ts';

/** A figure with its standard deviation, dB. */
export interface LossFigure {
  lossDb: number;
  sigmaDb: number;
}

/** A splice as the traces of one wavelength have it; AB along the circuit. dB. */
export interface SpliceProof {
  circuit: string;
  /** Place along the circuit: the splice behind span `point` - 1. */
  point: number;
  spliceId: string;
  wavelengthNm: number;
  forward: LossFigure | null;
  backward: LossFigure | null;
  /** The true loss, where both directions are there. */
  mean: LossFigure | null;
  /** Half of what the directions differ by: 10 log10 of the mode fields' ratio behind to before. */
  modeField: LossFigure | null;
  /** Height of a reflection at the place; null for none. */
  peakDb: number | null;
  /** How far from its closure the event was found, m of fiber along the circuit; null where it was not found by itself. */
  offsetM: number | null;
  traces: { AB: string | null; BA: string | null };
}

/** A circuit's total at one wavelength, connectors at its ends left out, dB. */
export interface TotalProof {
  circuit: string;
  wavelengthNm: number;
  AB: LossFigure | null;
  BA: LossFigure | null;
  mean: LossFigure | null;
}

/** Pairs both directions of all circuits, splice by splice. */
export function pairTraces(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): { splices: SpliceProof[]; totals: TotalProof[] } {
  const pairs = new Map<string, { AB: ProofTrace | null; BA: ProofTrace | null }>();
  for (const trace of proof.traces) {
    const key = `${trace.circuit}|${trace.wavelengthNm}`;
    const pair = pairs.get(key) ?? { AB: null, BA: null };
    pair[trace.direction] = trace;
    pairs.set(key, pair);
  }
  const splices: SpliceProof[] = [];
  const totals: TotalProof[] = [];
  for (const { AB, BA } of pairs.values()) {
    const one = (AB ?? BA)!;
    const route = circuits.get(one.circuit)!;
    const last = route.points.length - 1;
    const at = (trace: ProofTrace | null, point: number) => {
      const index = trace?.direction === 'BA' ? last - point : point;
      return (
        trace && { index, aligned: proof.alignments.get(trace.id)!, figures: figures.get(trace.id) }
      );
    };
    for (let point = 1; point < last; point++) {
      const [a, b] = [at(AB, point), at(BA, point)];
      const forward = a?.figures?.points[a.index] ?? null;
      const backward = b?.figures?.points[b.index] ?? null;
      if (!forward && !backward) continue;
      const found = (a && a.aligned.found[a.index]) ?? (b && b.aligned.found[b.index]) ?? null;
      const by = a?.aligned.found[a.index] ? a : b;
      const place = by?.aligned.points[by.index];
      splices.push({
        circuit: one.circuit,
        point,
        spliceId: route.points[point]!.spliceId!,
        wavelengthNm: one.wavelengthNm,
        forward,
        backward,
        ...halves(forward, backward),
        peakDb: found?.peakDb ?? null,
        offsetM: found && place ? (by === a ? 1 : -1) * (found.positionM - place.positionM) : null,
        traces: { AB: AB?.id ?? null, BA: BA?.id ?? null },
      });
    }
    const [ab, ba] = [AB, BA].map((trace) =>
      trace && proof.alignments.get(trace.id)!.reachesEnd
        ? (figures.get(trace.id)?.total ?? null)
        : null,
    ) as [LossFigure | null, LossFigure | null];
    totals.push({
      circuit: one.circuit,
      wavelengthNm: one.wavelengthNm,
      AB: ab,
      BA: ba,
      mean: halves(ab, ba).mean,
    });
  }
  return { splices, totals };
}

function halves(
  forward: LossFigure | null,
  backward: LossFigure | null,
): { mean: LossFigure | null; modeField: LossFigure | null } {
  if (!forward || !backward) return { mean: null, modeField: null };
  const sigma = Math.hypot(forward.sigmaDb, backward.sigmaDb) / 2;
  return {
    mean: { lossDb: (forward.lossDb + backward.lossDb) / 2, sigmaDb: sigma },
    modeField: { lossDb: (forward.lossDb - backward.lossDb) / 2, sigmaDb: sigma },
  };
}
