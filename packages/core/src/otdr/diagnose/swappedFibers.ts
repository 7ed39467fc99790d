import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { scaledMad } from '../detect/scaledMad.ts';
import type { AlignedTraces, ProofProblem, ProofTrace } from '../align/alignedTraces.ts';
import { type CircuitRoute, pathOf } from '../align/route.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** How much better two fibers must fit when exchanged: in sums of squares, and as a share of what is left. */
const GAIN = 40;
const LEFT = 0.35;
/** Losses at two wavelengths differ by that much without a bend, dB. */
const UNLIKE = 0.012;

/**
 * Finds files that were named for each other's fiber. A fiber's losses at two wavelengths go together, and
 * what two directions differ by is a matter of the cables and much alike for their fibers: where two
 * fibers both fit far better with one of their files exchanged, they are named. Fibers whose events are
 * all alike cannot be told apart, and are not.
 */
export function findSwappedFibers(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): ProofProblem[] {
  const byPath = groupBy(proof.traces, ({ circuit }) => pathOf(circuits.get(circuit)!));
  // A file that is exchanged shows against each of its peers: it is told once for two fibers.
  const byPair = new Map<string, ProofProblem>();
  for (const traces of byPath.values()) {
    const kinds = new Map<string, Map<string, ProofTrace>>();
    for (const trace of traces) {
      const key = `${trace.direction} ${trace.wavelengthNm}`;
      kinds.set(key, (kinds.get(key) ?? new Map()).set(trace.circuit, trace));
    }
    const list = [...kinds.values()];
    for (let one = 0; one < list.length; one++)
      for (let two = one + 1; two < list.length; two++)
        for (const { pair, problem } of exchanged(list[one]!, list[two]!, circuits, figures))
          if (!byPair.has(pair)) byPair.set(pair, problem);
  }
  return [...byPair.values()];
}

/** Losses at the points of a circuit, in its order. */
function vectorOf(trace: ProofTrace, figures: ReadonlyMap<string, TraceFigures>) {
  const points = figures.get(trace.id)?.points ?? [];
  return trace.direction === 'AB' ? points : [...points].reverse();
}

function exchanged(
  one: ReadonlyMap<string, ProofTrace>,
  two: ReadonlyMap<string, ProofTrace>,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): { pair: string; problem: ProofProblem }[] {
  const keys = [...one.keys()].filter((key) => two.has(key));
  if (keys.length < 3) return [];
  const ones = keys.map((key) => vectorOf(one.get(key)!, figures));
  const twos = keys.map((key) => vectorOf(two.get(key)!, figures));
  const [a, b] = [one.get(keys[0]!)!, two.get(keys[0]!)!];
  const opposite = a.direction !== b.direction;
  if (opposite && a.wavelengthNm !== b.wavelengthNm) return [];
  // What the two kinds differ by at each point, and how much fibers differ in that.
  const count = ones[0]!.length;
  const own = Array.from({ length: count }, (_, point) => {
    const list = keys.flatMap((_, index) => {
      const [x, y] = [ones[index]![point], twos[index]![point]];
      return x && y ? [x.lossDb - y.lossDb] : [];
    });
    if (list.length < 3) return null;
    return { middle: median(list), spread: Math.max(UNLIKE, scaledMad(list)) };
  });
  const spreads = own.flatMap((point) => (point ? [point.spread] : []));
  // Few fibers may be alike by chance at one point. How much the ends of fibers differ is much the same at all of them.
  const least = opposite && spreads.length > 0 ? median(spreads) : 0;
  const usual = own.map((point) => point && { ...point, spread: Math.max(least, point.spread) });
  const cost = (i: number, j: number, points: readonly number[]): number =>
    points.reduce((sum, point) => {
      const [x, y, both] = [ones[i]![point]!, twos[j]![point]!, usual[point]!];
      return (
        sum +
        (x.lossDb - y.lossDb - both.middle) ** 2 /
          (x.sigmaDb ** 2 + y.sigmaDb ** 2 + both.spread ** 2)
      );
    }, 0);
  const everywhere = usual.flatMap((both, point) => (both ? [point] : []));
  const seenBy = (i: number) => everywhere.filter((point) => ones[i]![point] && twos[i]![point]);
  const found: { pair: string; problem: ProofProblem }[] = [];
  for (let i = 0; i < keys.length; i++) {
    const points = seenBy(i);
    if (cost(i, i, points) < GAIN / 3) continue;
    for (let j = i + 1; j < keys.length; j++) {
      // Compared where both fibers are seen, or a broken one would fit every other.
      const common = seenBy(j).filter((point) => points.includes(point));
      const before = cost(i, i, common) + cost(j, j, common);
      const after = cost(i, j, common) + cost(j, i, common);
      if (before - after < GAIN || after > LEFT * before) continue;
      const [first, second] = [circuits.get(keys[i]!)!, circuits.get(keys[j]!)!];
      const problem: ProofProblem = {
        kind: 'mixed up',
        circuit: first.key,
        traces: [
          one.get(keys[i]!)!.id,
          one.get(keys[j]!)!.id,
          two.get(keys[i]!)!.id,
          two.get(keys[j]!)!.id,
        ],
        message: {
          code: 'swapped',
          first: first.label,
          second: second.label,
          direction: a.direction,
          wavelengthNm: a.wavelengthNm,
          otherDirection: b.direction,
          otherNm: b.wavelengthNm,
          files: [one.get(keys[i]!)!.name, one.get(keys[j]!)!.name],
          otherFiles: [two.get(keys[i]!)!.name, two.get(keys[j]!)!.name],
        },
      };
      found.push({ pair: `${first.key} ${second.key}`, problem });
    }
  }
  return found;
}
