import { unitSize } from '@cordel/core';
import { causesOf } from './causes.ts';
import type { Proof } from './proof.ts';

/** One circuit with its traces aligned with it, distances in meters of fiber from end A. */
export function circuitView(proof: Proof, cableId: string, fiber: number) {
  const route = proof.plant.circuitOf(cableId, fiber);
  const own = proof.aligned.traces.filter(({ circuit }) => circuit === route.key);
  const written = route.spans.reduce(
    (sum, { sheathM: sheath, helix }) => sum + (sheath ?? 0) * helix,
    0,
  );
  // Of the route as fitted from A, or from B read backward, or as it is written.
  const fitted = (direction: string) => {
    const trace = own.find((one) => one.direction === direction);
    return trace ? proof.aligned.group(trace) : null;
  };
  const [a, b] = [fitted('AB'), fitted('BA')];
  const lengthOf = (group: NonNullable<typeof a>) => {
    const last = group.positions.at(-1);
    return last ? last.positionM - group.offsetM : null;
  };
  const length = (a && lengthOf(a)) ?? (b && lengthOf(b)) ?? written;
  let sum = 0;
  const asWritten = route.points.map((_, index) => {
    if (index > 0) sum += (route.spans[index - 1]!.sheathM ?? 0) * route.spans[index - 1]!.helix;
    return sum;
  });
  const points = route.points.map((point, index) => {
    const last = route.points.length - 1;
    if (index === 0) return { ...point, positionM: 0 };
    if (index === last) return { ...point, positionM: length };
    const fromA = a?.positions[index];
    const fromB = b?.positions[last - index];
    const positionM = fromA
      ? fromA.positionM - a!.offsetM
      : fromB
        ? length - (fromB.positionM - b!.offsetM)
        : asWritten[index]!;
    return { ...point, positionM };
  });
  return {
    key: route.key,
    label: route.label,
    points,
    spans: route.spans.map(({ cable, fiber: counted, sheathM }) => ({
      cable,
      fiber: counted,
      sheathM,
    })),
    lengthM: length,
    traces: own.map(({ id, name, direction, wavelengthNm, endM, measuredAtMs }) => ({
      measuredAt: measuredAtMs === null ? null : new Date(measuredAtMs).toISOString(),
      id,
      name,
      direction,
      wavelengthNm,
      startM: startOf(proof, id),
      indexRatio: proof.aligned.indexRatio.get(id) ?? 1,
      endM,
    })),
    peers: peersOf(proof, cableId, fiber),
    splices: proof.figured.filter(({ circuit }) => circuit === route.key),
    totals: proof.totals.filter(({ circuit }) => circuit === route.key),
    findings: causesOf(proof).filter(({ circuits }) => circuits.includes(route.key)),
  };
}

/** Traces of all fibers of the tube or ribbon that a fiber lies in. */
function peersOf(proof: Proof, cableId: string, fiber: number) {
  const size = unitSize(proof.plant.setting.cables.get(cableId)!.makeUp);
  const first = Math.floor((fiber - 1) / size) * size;
  const numbers = new Map<string, number>();
  for (let number = first + 1; number <= first + size; number++) {
    const route = proof.circuits.get(circuitKey(proof, cableId, number));
    if (route) numbers.set(route.key, number);
  }
  return proof.aligned.traces
    .filter(({ circuit }) => numbers.has(circuit))
    .map((trace) => {
      const start = startOf(proof, trace.id);
      const last = proof.aligned.group(trace).positions.at(-1);
      return {
        fiber: numbers.get(trace.circuit)!,
        id: trace.id,
        direction: trace.direction,
        wavelengthNm: trace.wavelengthNm,
        startM: start,
        indexRatio: proof.aligned.indexRatio.get(trace.id) ?? 1,
        lengthM: (last?.positionM ?? trace.rangeM) - proof.aligned.group(trace).offsetM,
      };
    })
    .sort((a, b) => a.fiber - b.fiber);
}

function circuitKey({ plant }: Proof, cableId: string, fiber: number): string {
  try {
    return plant.circuitOf(cableId, fiber).key;
  } catch {
    return '';
  }
}

/** Where a trace's circuit begins: behind its launch fiber, if it has one. */
function startOf({ aligned }: Proof, id: string): number {
  const trace = aligned.traces.find((one) => one.id === id)!;
  return aligned.group(trace).offsetM + aligned.alignments.get(id)!.shiftM;
}
