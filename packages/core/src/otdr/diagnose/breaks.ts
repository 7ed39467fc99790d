import { groupBy } from '../../groupBy.ts';
import { type Finding, type SplicePlace } from './finding.ts';
import type { AlignedTraces, ProofTrace } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import { type FaultLocation, faultLocation, whereIs } from './faultLocation.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** The closure at which a trace ends because nobody has fused its fiber there yet; null for none. */
function unmadeAt(
  proof: AlignedTraces,
  trace: ProofTrace,
  circuits: ReadonlyMap<string, CircuitRoute>,
  splices: ReadonlyMap<string, SplicePlace>,
): SplicePlace | null {
  const { early, points } = proof.alignments.get(trace.id)!;
  const { points: places } = circuits.get(trace.circuit)!;
  for (const [index, point] of points.entries()) {
    if (!point || !early) continue;
    const along = trace.direction === 'AB' ? index : points.length - 1 - index;
    const place = splices.get(places[along]!.spliceId ?? '');
    if (place && !place.made && Math.abs(point.positionM - early.positionM) < 40 + 3 * point.sigmaM)
      return place;
  }
  return null;
}

/** Fibers that end where they are not joined yet: said once for a closure, for nothing is wrong with them. */
const unmadeFindings = (list: readonly { trace: ProofTrace; place: SplicePlace }[]): Finding[] =>
  [...groupBy(list, ({ place }) => place.closureId).values()].map((own) => {
    const { place } = own[0]!;
    const fibers = [...new Set(own.map(({ trace }) => trace.circuit))];
    const { label, closure } = place;
    return {
      cause: 'break',
      weight: 'look',
      circuits: fibers,
      spliceIds: [...new Set(own.map((one) => one.place.id))],
      closureId: place.closureId,
      message:
        fibers.length === 1
          ? { code: 'notJoined', label, closure }
          : { code: 'severalNotJoined', fibers: fibers.length, closure },
      where: [{ code: 'closure', closure }],
      place: null,
    };
  });

/** Fibers that end before their time: not joined yet, or broken. */
export function breaksOf(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  splices: ReadonlyMap<string, SplicePlace>,
): Finding[] {
  const ended = proof.traces.filter(({ id }) => proof.alignments.get(id)!.early);
  const unmade = ended.flatMap((trace) => {
    const place = unmadeAt(proof, trace, circuits, splices);
    return place ? [{ trace, place }] : [];
  });
  const early = ended.filter((trace) => unmade.every((one) => one.trace !== trace));
  return [...unmadeFindings(unmade), ...brokenFindings(proof, circuits, early)];
}

/** Breaks; seen from both ends they are one. */
function brokenFindings(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  early: readonly ProofTrace[],
): Finding[] {
  return [...groupBy(early, ({ circuit }) => circuit).entries()].flatMap(([circuit, traces]) => {
    const route = circuits.get(circuit)!;
    const sides = groupBy(traces, ({ direction }) => direction);
    const from = (direction: ProofTrace['direction']) => sides.get(direction)?.[0] ?? null;
    const [a, b] = [from('AB'), from('BA')];
    const trace = (a ?? b)!;
    const place = placeOf(proof, trace);
    const at = (side: ProofTrace) => ({ placeM: proof.alignments.get(side.id)!.early!.positionM });
    const other = a && b ? placeOf(proof, b) : null;
    // From both sides the same break, unless there is a length between that neither has seen.
    const apart =
      place &&
      other &&
      (place.cable !== other.cable ||
        place.from !== other.from ||
        Math.abs(place.sheathM - other.sheathM) > 3 * (place.sigmaM + other.sigmaM) + 10);
    const finding: Finding = {
      cause: 'break',
      weight: 'bad',
      circuits: [circuit],
      spliceIds: [],
      closureId: place?.closureId ?? null,
      message:
        a && b
          ? {
              code: apart ? 'brokenTwoPlaces' : 'brokenSamePlace',
              label: route.label,
              at: at(a),
              direction: a.direction,
              otherAt: at(b),
              otherDirection: b.direction,
            }
          : { code: 'broken', label: route.label, at: at(trace), direction: trace.direction },
      where: [place, apart ? other : null].flatMap((found) => (found ? [whereIs(found)] : [])),
      place,
    };
    return [finding];
  });
}

function placeOf(proof: AlignedTraces, trace: ProofTrace): FaultLocation | null {
  const { early, shiftM: shift } = proof.alignments.get(trace.id)!;
  return early && faultLocation(early.positionM - shift, early.sigmaM, proof.group(trace));
}
