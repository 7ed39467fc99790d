import { causesOf } from './causes.ts';
import type { Proof } from './proof.ts';

/** One circuit with its traces laid along it, distances in meters of fiber from end A. */
export function circuitView(proof: Proof, cableId: string, fiber: number) {
  const route = proof.plant.circuitOf(cableId, fiber);
  const own = proof.laid.traces.filter(({ circuit }) => circuit === route.key);
  const written = route.spans.reduce((sum, { sheath, helix }) => sum + (sheath ?? 0) * helix, 0);
  // Of the way as fitted from A, or from B read backward, or as it is written.
  const fitted = (direction: string) => {
    const trace = own.find((one) => one.direction === direction);
    return trace ? proof.laid.group(trace) : null;
  };
  const [a, b] = [fitted('AB'), fitted('BA')];
  const lengthOf = (group: NonNullable<typeof a>) => {
    const last = group.positions.at(-1);
    return last ? last.at - group.offset : null;
  };
  const length = (a && lengthOf(a)) ?? (b && lengthOf(b)) ?? written;
  let sum = 0;
  const asWritten = route.points.map((_, index) => {
    if (index > 0) sum += (route.spans[index - 1]!.sheath ?? 0) * route.spans[index - 1]!.helix;
    return sum;
  });
  const points = route.points.map((point, index) => {
    const last = route.points.length - 1;
    if (index === 0) return { ...point, at: 0 };
    if (index === last) return { ...point, at: length };
    const fromA = a?.positions[index];
    const fromB = b?.positions[last - index];
    const at = fromA
      ? fromA.at - a!.offset
      : fromB
        ? length - (fromB.at - b!.offset)
        : asWritten[index]!;
    return { ...point, at };
  });
  return {
    key: route.key,
    label: route.label,
    points,
    spans: route.spans.map(({ cable, fiber: counted, sheath }) => ({
      cable,
      fiber: counted,
      sheath,
    })),
    length,
    traces: own.map(({ id, name, direction, wavelengthNm, end }) => ({
      id,
      name,
      direction,
      wavelengthNm,
      start: proof.laid.laid.get(id)!.points[0]?.at ?? 0,
      stretch: proof.laid.stretch.get(id) ?? 1,
      end,
    })),
    joints: proof.joints.filter(({ circuit }) => circuit === route.key),
    totals: proof.totals.filter(({ circuit }) => circuit === route.key),
    findings: causesOf(proof).filter(({ circuits }) => circuits.includes(route.key)),
  };
}
