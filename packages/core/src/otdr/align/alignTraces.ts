import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { alignTrace } from './alignTrace.ts';
import type { AlignedTraces, ProofProblem, ProofTrace } from './alignedTraces.ts';
import { type CircuitRoute, pathOf, reversed } from './route.ts';
import { type FitGroup, fitRoutes } from './fitRoutes.ts';
import { fitProblems, namesOf, sameSamples } from './problems.ts';

/** A group index this far from its peers' is a slip. */
const SLIP = 0.002;
/** An end nearer than this is none: there is no fiber. */
const NO_FIBER = 60;

const groupKey = (route: CircuitRoute, direction: string): string =>
  `${direction} ${pathOf(route)}`;

/**
 * Lays all traces of a project along their ways: group indexes made one, the ways fitted over all fibers
 * together, each trace laid along its own. Of several shots of one fiber, direction and wavelength the
 * last counts.
 */
export function alignTraces(
  circuits: ReadonlyMap<string, CircuitRoute>,
  all: readonly ProofTrace[],
): AlignedTraces {
  const problems: ProofProblem[] = [];
  const current = lastOf(all, circuits, problems);
  const { stretch, slips } = stretchOf(current);
  problems.push(...slips);
  const stretched = current.map((trace) => scaled(trace, stretch.get(trace.id)!));
  const silent = (trace: ProofTrace) => trace.end !== null && trace.end < NO_FIBER;
  for (const trace of stretched.filter(silent))
    problems.push({
      kind: 'noise only',
      circuit: trace.circuit,
      traces: [trace.id],
      message: { code: 'noiseOnly', file: trace.name },
    });
  const traces = stretched.filter((trace) => !silent(trace));
  problems.push(...sameSamples(traces, circuits));
  const groups = new Map<string, FitGroup & { traces: ProofTrace[] }>();
  const keyOf = (trace: ProofTrace) => groupKey(circuits.get(trace.circuit)!, trace.direction);
  for (const trace of traces) {
    const key = keyOf(trace);
    const route = circuits.get(trace.circuit)!;
    const group = groups.get(key);
    if (group) group.traces.push(trace);
    else
      groups.set(key, {
        key,
        route: trace.direction === 'AB' ? route : reversed(route),
        traces: [trace],
      });
  }
  const fit = fitRoutes([...groups.values()]);
  const group = (trace: ProofTrace) => fit.groups.get(keyOf(trace))!;
  const laid = new Map(traces.map((trace) => [trace.id, alignTrace(trace, group(trace))]));
  problems.push(...fitProblems({ fit, traces, laid, groupOf: group, circuits }));
  return { traces, fit, laid, group, stretch, problems };
}

function lastOf(
  all: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
  problems: ProofProblem[],
): ProofTrace[] {
  const keyOf = ({ circuit, direction, wavelengthNm }: ProofTrace) =>
    `${circuit} ${direction} ${wavelengthNm}`;
  return [...groupBy(all, keyOf).values()].map((shots) => {
    const trace = shots.at(-1)!;
    if (shots.length > 1)
      problems.push({
        kind: 'shot twice',
        circuit: trace.circuit,
        traces: shots.map(({ id }) => id),
        message: {
          code: 'shotTwice',
          label: circuits.get(trace.circuit)!.label,
          direction: trace.direction,
          wavelengthNm: trace.wavelengthNm,
          shots: shots.length,
          file: trace.name,
        },
      });
    return trace;
  });
}

function stretchOf(traces: readonly ProofTrace[]) {
  const stretch = new Map<string, number>();
  const slips: ProofProblem[] = [];
  for (const nm of new Set(traces.map(({ wavelengthNm }) => wavelengthNm))) {
    const own = traces.filter(({ wavelengthNm }) => wavelengthNm === nm);
    const usual = median(own.map(({ groupIndex }) => groupIndex));
    const odd: ProofTrace[] = [];
    for (const trace of own) {
      const ratio = trace.groupIndex / usual;
      const slip = Math.abs(ratio - 1) > SLIP;
      stretch.set(trace.id, slip ? ratio : 1);
      if (slip) odd.push(trace);
    }
    if (odd.length > 0)
      slips.push({
        kind: 'group index',
        circuit: null,
        traces: odd.map(({ id }) => id),
        message: {
          code: 'groupIndex',
          files: namesOf(odd),
          index: String(odd[0]!.groupIndex / 100_000),
          usual: String(usual / 100_000),
          wavelengthNm: nm,
        },
      });
  }
  return { stretch, slips };
}

const scaled = (trace: ProofTrace, by: number): ProofTrace =>
  by === 1
    ? trace
    : {
        ...trace,
        joints: trace.joints.map((joint) => ({
          ...joint,
          position: joint.position * by,
          reach: joint.reach * by,
        })),
        end: trace.end === null ? null : trace.end * by,
        faded: trace.faded === null ? null : trace.faded * by,
        range: trace.range * by,
      };
