import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { formatMeters, formatPlace, formatRange } from '../../measure/distance.ts';
import type { DistanceUnit } from '../../record/units.ts';
import type { AlignedTrace } from './alignTrace.ts';
import type { ProofProblem, ProofTrace } from './alignedTraces.ts';
import type { CircuitRoute } from './route.ts';
import type { FittedGroup, RouteFit } from './fitRoutes.ts';

/** Names of files: the first few, and how many more. */
export function namesOf(traces: readonly { name: string }[]): string {
  const shown = traces.slice(0, 3).map(({ name }) => name);
  const more = traces.length - shown.length;
  return more > 0 ? `${shown.join(', ')} and ${more} more` : shown.join(', ');
}

/** Files that hold the same samples: copies of one shot. */
export function sameSamples(
  traces: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  return [...groupBy(traces, ({ samples }) => samples).values()]
    .filter((list) => list.length > 1)
    .map((list) => {
      const both = new Set(list.map(({ direction }) => direction)).size > 1;
      const one = new Set(list.map(({ circuit }) => circuit)).size === 1;
      return {
        kind: 'same samples' as const,
        circuit: one ? list[0]!.circuit : null,
        traces: list.map(({ id }) => id),
        words:
          one && both
            ? `${circuits.get(list[0]!.circuit)!.label}: both directions hold the same samples (${namesOf(list)}). One is a copy of the other: shoot the missing direction.`
            : `${namesOf(list)} hold the same samples: one shot was saved for several fibers.`,
      };
    });
}

interface FitProblemTask {
  fit: RouteFit;
  traces: readonly ProofTrace[];
  laid: ReadonlyMap<string, AlignedTrace>;
  groupOf: (trace: ProofTrace) => FittedGroup;
  circuits: ReadonlyMap<string, CircuitRoute>;
  unit: DistanceUnit;
}

/** What the fit and the laying show to be odd: lengths, scale, launch and receive fibers, ends. */
export function fitProblems(task: FitProblemTask): ProofProblem[] {
  const { fit, traces, laid, groupOf, circuits, unit } = task;
  const problems: ProofProblem[] = [];
  for (const cable of fit.unknown)
    problems.push({
      kind: 'length unknown',
      circuit: null,
      traces: [],
      words: `Nobody has said how long cable ${cable} is between its closures: give their distances or its sheath marks, or what lies behind it cannot be told.`,
    });
  if (Math.abs(fit.scale - 1) > 0.012 && Math.abs(fit.scale - 1) > 4 * fit.scaleSigma) {
    const index = median(traces.map(({ groupIndex }) => groupIndex)) / 100_000;
    problems.push({
      kind: 'scale',
      circuit: null,
      traces: [],
      words: `All distances come out ${(Math.abs(fit.scale - 1) * 100).toFixed(1)} % ${fit.scale > 1 ? 'long' : 'short'}. The group index was set to ${index.toFixed(4)}; ${(index * fit.scale).toFixed(4)} would fit, or the helix factors are off. Places are told by the closures that are seen, so they hold.`,
    });
  }
  const launched = new Map<string, ProofTrace[]>();
  for (const trace of traces) {
    const { shift, late, early } = laid.get(trace.id)!;
    const group = groupOf(trace);
    const before = (group.launch ? group.offset : 0) + shift;
    if (before > 15) {
      const key = `${trace.direction} ${Math.round(before / 10)}`;
      launched.set(key, [...(launched.get(key) ?? []), trace]);
    }
    if (late > 0)
      problems.push({
        kind: 'receive fiber',
        circuit: trace.circuit,
        traces: [trace.id],
        words: `${trace.name}: there are ${formatMeters(late, unit)} of fiber behind the end of the circuit. A receive fiber, or the wrong circuit?`,
      });
    if (trace.end === null)
      problems.push({
        kind: 'no end',
        circuit: trace.circuit,
        traces: [trace.id],
        words: noEndWords(trace, group, task),
      });
    if (early) {
      const others = traces.filter(
        ({ circuit, direction, end }) =>
          circuit === trace.circuit && direction !== trace.direction && end !== null,
      );
      const whole = others.length > 0 && others.every(({ id }) => !laid.get(id)!.early);
      if (whole)
        problems.push({
          kind: 'end from one side',
          circuit: trace.circuit,
          traces: [trace.id, ...others.map(({ id }) => id)],
          words: `${circuits.get(trace.circuit)!.label}: ${trace.direction} it ends at ${formatPlace(early.at, unit)}, from the other side it is whole. A fiber breaks for both: are two files mixed up, or was it repaired between the shots?`,
        });
    }
  }
  for (const list of launched.values()) {
    const trace = list[0]!;
    const meters = groupOf(trace).offset + laid.get(trace.id)!.shift;
    problems.push({
      kind: 'launch fiber',
      circuit: null,
      traces: list.map(({ id }) => id),
      words: `${namesOf(list)}: the first ${formatMeters(meters, unit)} are a launch fiber. They are taken off; distances count from its end.`,
    });
  }
  return problems;
}

function noEndWords(
  trace: ProofTrace,
  group: FittedGroup,
  { circuits, unit }: FitProblemTask,
): string {
  const last = group.positions.at(-1);
  const label = circuits.get(trace.circuit)!.label;
  if (trace.faded !== null)
    return `${trace.name}: ${label} is lost in noise from ${formatRange(trace.faded, unit)} on. Average longer, or take a longer pulse.`;
  return last && last.at > trace.range
    ? `${trace.name}: the range of ${formatRange(trace.range, unit)} is too short for ${label}, which ends at ${formatRange(last.at, unit)}.`
    : `${trace.name}: no end is seen within ${formatRange(trace.range, unit)}. Shoot with a longer range.`;
}

/** Directions and wavelengths that are missing, circuit by circuit. */
export function missingOf(
  traces: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  const problems: ProofProblem[] = [];
  for (const [circuit, own] of groupBy(traces, (trace) => trace.circuit)) {
    const { label } = circuits.get(circuit)!;
    const at = (direction: 'AB' | 'BA') =>
      own.flatMap((trace) => (trace.direction === direction ? [trace.wavelengthNm] : []));
    const [ab, ba] = [at('AB'), at('BA')];
    const common = ab.filter((nm) => ba.includes(nm));
    if (ab.length > 0 && ba.length > 0 && common.length === 0) {
      problems.push({
        kind: 'wavelengths',
        circuit,
        traces: own.map(({ id }) => id),
        words: `${label}: AB was shot at ${ab.join(', ')} nm, BA at ${ba.join(', ')} nm. Two directions of unlike wavelengths make no mean: shoot one of them again.`,
      });
      continue;
    }
    for (const nm of [...new Set([...ab, ...ba])].sort((a, b) => a - b)) {
      if (ab.includes(nm) && ba.includes(nm)) continue;
      problems.push({
        kind: 'direction missing',
        circuit,
        traces: [],
        words: `${label} at ${nm} nm: ${ab.includes(nm) ? 'BA' : 'AB'} is missing, so its losses are one-way.`,
      });
    }
  }
  return problems;
}
