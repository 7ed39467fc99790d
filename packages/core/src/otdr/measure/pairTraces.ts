import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import type { TraceFigures } from './measureTrace.ts';

/** A figure with its standard deviation, dB. */
export interface Figured {
  loss: number;
  sigma: number;
}

/** A splice as the traces of one wavelength have it; AB along the circuit. dB. */
export interface SpliceProof {
  circuit: string;
  /** Place along the circuit: the splice behind span `point` - 1. */
  point: number;
  spliceId: string;
  wavelengthNm: number;
  forward: Figured | null;
  backward: Figured | null;
  /** The true loss, where both directions are there. */
  mean: Figured | null;
  /** Half of what the directions differ by: 10 log10 of the mode fields' ratio behind to before. */
  modeField: Figured | null;
  /** Height of a reflection at the place; null for none. */
  peak: number | null;
  /** How far from its closure the joint was found, m of fiber along the circuit; null where it was not found by itself. */
  offset: number | null;
  traces: { AB: string | null; BA: string | null };
}

/** A circuit's total at one wavelength, connectors at its ends left out, dB. */
export interface TotalProof {
  circuit: string;
  wavelengthNm: number;
  AB: Figured | null;
  BA: Figured | null;
  mean: Figured | null;
}

/** Pairs both directions of all circuits, joint by joint. */
export function pairTraces(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): { joints: SpliceProof[]; totals: TotalProof[] } {
  const pairs = new Map<string, { AB: ProofTrace | null; BA: ProofTrace | null }>();
  for (const trace of proof.traces) {
    const key = `${trace.circuit}|${trace.wavelengthNm}`;
    const pair = pairs.get(key) ?? { AB: null, BA: null };
    pair[trace.direction] = trace;
    pairs.set(key, pair);
  }
  const joints: SpliceProof[] = [];
  const totals: TotalProof[] = [];
  for (const { AB, BA } of pairs.values()) {
    const one = (AB ?? BA)!;
    const route = circuits.get(one.circuit)!;
    const last = route.points.length - 1;
    const at = (trace: ProofTrace | null, point: number) => {
      const index = trace?.direction === 'BA' ? last - point : point;
      return trace && { index, laid: proof.laid.get(trace.id)!, figures: figures.get(trace.id) };
    };
    for (let point = 1; point < last; point++) {
      const [a, b] = [at(AB, point), at(BA, point)];
      const forward = a?.figures?.points[a.index] ?? null;
      const backward = b?.figures?.points[b.index] ?? null;
      if (!forward && !backward) continue;
      const found = (a && a.laid.found[a.index]) ?? (b && b.laid.found[b.index]) ?? null;
      const by = a?.laid.found[a.index] ? a : b;
      const place = by?.laid.points[by.index];
      joints.push({
        circuit: one.circuit,
        point,
        spliceId: route.points[point]!.spliceId!,
        wavelengthNm: one.wavelengthNm,
        forward,
        backward,
        ...halves(forward, backward),
        peak: found?.peak ?? null,
        offset: found && place ? (by === a ? 1 : -1) * (found.position - place.at) : null,
        traces: { AB: AB?.id ?? null, BA: BA?.id ?? null },
      });
    }
    const [ab, ba] = [AB, BA].map((trace) =>
      trace && !proof.laid.get(trace.id)!.early ? (figures.get(trace.id)?.total ?? null) : null,
    ) as [Figured | null, Figured | null];
    totals.push({
      circuit: one.circuit,
      wavelengthNm: one.wavelengthNm,
      AB: ab,
      BA: ba,
      mean: halves(ab, ba).mean,
    });
  }
  return { joints, totals };
}

function halves(
  forward: Figured | null,
  backward: Figured | null,
): { mean: Figured | null; modeField: Figured | null } {
  if (!forward || !backward) return { mean: null, modeField: null };
  const sigma = Math.hypot(forward.sigma, backward.sigma) / 2;
  return {
    mean: { loss: (forward.loss + backward.loss) / 2, sigma },
    modeField: { loss: (forward.loss - backward.loss) / 2, sigma },
  };
}
