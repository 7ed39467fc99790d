import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import type { Listed } from '../../record/message.ts';
import type { ProofMessage } from '../messages.ts';
import type { AlignedTrace } from './alignTrace.ts';
import type { ProofProblem, ProofTrace } from './alignedTraces.ts';
import type { CircuitRoute } from './route.ts';
import type { FittedGroup, RouteFit } from './fitRoutes.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** Names of files: the first few, and how many more. */
export const namesOf = (traces: readonly { name: string }[]): Listed => ({
  items: traces.map(({ name }) => name),
  most: 3,
});

/** Files that hold the same samples: copies of one shot. */
export function sameSamples(
  traces: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  return [...groupBy(traces, ({ samplesDigest: samples }) => samples).values()]
    .filter((list) => list.length > 1)
    .map((list) => {
      const both = new Set(list.map(({ direction }) => direction)).size > 1;
      const one = new Set(list.map(({ circuit }) => circuit)).size === 1;
      return {
        kind: 'same samples' as const,
        circuit: one ? list[0]!.circuit : null,
        traces: list.map(({ id }) => id),
        message:
          one && both
            ? {
                code: 'copyOfOther' as const,
                label: circuits.get(list[0]!.circuit)!.label,
                files: namesOf(list),
              }
            : { code: 'savedForSeveral' as const, files: namesOf(list) },
      };
    });
}

interface FitProblemTask {
  fit: RouteFit;
  traces: readonly ProofTrace[];
  alignments: ReadonlyMap<string, AlignedTrace>;
  groupOf: (trace: ProofTrace) => FittedGroup;
  circuits: ReadonlyMap<string, CircuitRoute>;
}

/** What the fit and the laying show to be odd: lengths, scale, launch and receive fibers, ends. */
export function fitProblems(task: FitProblemTask): ProofProblem[] {
  const { fit, traces, alignments, groupOf, circuits } = task;
  const problems: ProofProblem[] = [];
  for (const cable of fit.unknown)
    problems.push({
      kind: 'length unknown',
      circuit: null,
      traces: [],
      message: { code: 'lengthUnknown', cable },
    });
  if (Math.abs(fit.scale - 1) > 0.012 && Math.abs(fit.scale - 1) > 4 * fit.scaleSigma) {
    const index = median(traces.map(({ groupIndex }) => groupIndex)) / 100_000;
    problems.push({
      kind: 'scale',
      circuit: null,
      traces: [],
      message: {
        code: fit.scale > 1 ? 'scaleLong' : 'scaleShort',
        percent: (Math.abs(fit.scale - 1) * 100).toFixed(1),
        index: index.toFixed(4),
        fitting: (index * fit.scale).toFixed(4),
      },
    });
  }
  const launched = new Map<string, ProofTrace[]>();
  for (const trace of traces) {
    const { shiftM: shift, lateM: late, early } = alignments.get(trace.id)!;
    const group = groupOf(trace);
    const before = (group.launch ? group.offsetM : 0) + shift;
    if (before > 15) {
      const key = `${trace.direction} ${Math.round(before / 10)}`;
      launched.set(key, [...(launched.get(key) ?? []), trace]);
    }
    if (late > 0)
      problems.push({
        kind: 'receive fiber',
        circuit: trace.circuit,
        traces: [trace.id],
        message: { code: 'receiveFiber', file: trace.name, length: { tapeM: late } },
      });
    if (trace.endM === null)
      problems.push({
        kind: 'no end',
        circuit: trace.circuit,
        traces: [trace.id],
        message: noEndMessage(trace, group, task),
      });
    if (early) {
      const others = traces.filter(
        ({ circuit, direction, endM: end }) =>
          circuit === trace.circuit && direction !== trace.direction && end !== null,
      );
      const whole = others.length > 0 && others.every(({ id }) => !alignments.get(id)!.early);
      if (whole)
        problems.push({
          kind: 'end from one side',
          circuit: trace.circuit,
          traces: [trace.id, ...others.map(({ id }) => id)],
          message: {
            code: 'endFromOneSide',
            label: circuits.get(trace.circuit)!.label,
            direction: trace.direction,
            at: { placeM: early.positionM },
          },
        });
    }
  }
  for (const list of launched.values()) {
    const trace = list[0]!;
    const meters = groupOf(trace).offsetM + alignments.get(trace.id)!.shiftM;
    problems.push({
      kind: 'launch fiber',
      circuit: null,
      traces: list.map(({ id }) => id),
      message: { code: 'launchFiber', files: namesOf(list), length: { tapeM: meters } },
    });
  }
  return problems;
}

function noEndMessage(
  trace: ProofTrace,
  group: FittedGroup,
  { circuits }: FitProblemTask,
): ProofMessage {
  const last = group.positions.at(-1);
  const { name: file, rangeM: range, fadedM: faded } = trace;
  const { label } = circuits.get(trace.circuit)!;
  if (faded !== null) return { code: 'lostInNoise', file, label, from: { rangeM: faded } };
  return last && last.positionM > range
    ? {
        code: 'rangeTooShort',
        file,
        label,
        range: { rangeM: range },
        end: { rangeM: last.positionM },
      }
    : { code: 'noEndSeen', file, range: { rangeM: range } };
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
        message: { code: 'otherWavelengths', label, ab: ab.map(String), ba: ba.map(String) },
      });
      continue;
    }
    for (const nm of [...new Set([...ab, ...ba])].sort((a, b) => a - b)) {
      if (ab.includes(nm) && ba.includes(nm)) continue;
      problems.push({
        kind: 'direction missing',
        circuit,
        traces: [],
        message: {
          code: 'directionMissing',
          label,
          wavelengthNm: nm,
          missing: ab.includes(nm) ? 'BA' : 'AB',
        },
      });
    }
  }
  return problems;
}
