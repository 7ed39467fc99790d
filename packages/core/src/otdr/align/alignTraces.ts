import { groupBy } from '../../groupBy.ts';
import { median } from 'simple-statistics';
import { alignTrace } from './alignTrace.ts';
import type { AlignedTraces, ProofProblem, ProofTrace } from './alignedTraces.ts';
import { type CircuitRoute, isFused, pathOf, reversed } from './route.ts';
import { type FitGroup, fitRoutes } from './fitRoutes.ts';
import { fitProblems, namesOf, sameSamples } from './problems.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A group index this far from its peers' is a slip. */
const SLIP = 0.002;
/** An end nearer than this is none: there is no fiber. */
const NO_FIBER = 60;

const groupKey = (route: CircuitRoute, direction: string): string =>
  `${direction} ${pathOf(route)}`;

/**
 * Aligns all traces of a project with their routes: group indexes made one, the routes fitted over all fibers
 * together, each trace aligned with its own. Of several shots of one fiber, direction and wavelength the
 * newest counts; the others are told as earlier ones.
 */
export function alignTraces(
  circuits: ReadonlyMap<string, CircuitRoute>,
  all: readonly ProofTrace[],
): AlignedTraces {
  const problems: ProofProblem[] = [];
  const { current, earlier } = newestOf(all);
  const { indexRatio, slips } = indexRatiosOf(current);
  problems.push(...slips);
  const corrected = current.map((trace) => rescaled(trace, indexRatio.get(trace.id)!));
  const silent = (trace: ProofTrace) => trace.endM !== null && trace.endM < NO_FIBER;
  for (const trace of corrected.filter(silent))
    problems.push({
      kind: 'noise only',
      circuit: trace.circuit,
      traces: [trace.id],
      message: { code: 'noiseOnly', file: trace.name },
    });
  const traces = corrected.filter((trace) => !silent(trace));
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
  const alignments = new Map(
    traces.map((trace) => [
      trace.id,
      alignTrace(trace, group(trace), isFused(circuits.get(trace.circuit)!)),
    ]),
  );
  problems.push(...fitProblems({ fit, traces, alignments, groupOf: group, circuits }));
  return { traces, earlier, fit, alignments, group, indexRatio, problems };
}

/** A fiber shot again is a newer reading: by when it was measured, and where clocks say nothing by when it came in. */
function newestOf(all: readonly ProofTrace[]): { current: ProofTrace[]; earlier: ProofTrace[] } {
  const keyOf = ({ circuit, direction, wavelengthNm }: ProofTrace) =>
    `${circuit} ${direction} ${wavelengthNm}`;
  const shots = [...groupBy(all, keyOf).values()].map((list) =>
    list.every(({ measuredAtMs }) => measuredAtMs !== null)
      ? [...list].sort((a, b) => a.measuredAtMs! - b.measuredAtMs!)
      : list,
  );
  return {
    current: shots.map((list) => list.at(-1)!),
    earlier: shots.flatMap((list) => list.slice(0, -1)),
  };
}

function indexRatiosOf(traces: readonly ProofTrace[]) {
  const indexRatio = new Map<string, number>();
  const slips: ProofProblem[] = [];
  for (const nm of new Set(traces.map(({ wavelengthNm }) => wavelengthNm))) {
    const own = traces.filter(({ wavelengthNm }) => wavelengthNm === nm);
    const usual = median(own.map(({ groupIndex }) => groupIndex));
    const odd: ProofTrace[] = [];
    for (const trace of own) {
      const ratio = trace.groupIndex / usual;
      const slip = Math.abs(ratio - 1) > SLIP;
      indexRatio.set(trace.id, slip ? ratio : 1);
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
  return { indexRatio, slips };
}

/** A trace whose distances are so many times as large. */
export const rescaled = (trace: ProofTrace, by: number): ProofTrace =>
  by === 1
    ? trace
    : {
        ...trace,
        events: trace.events.map((event) => ({
          ...event,
          positionM: event.positionM * by,
          positionSigmaM: event.positionSigmaM * by,
        })),
        endM: trace.endM === null ? null : trace.endM * by,
        fadedM: trace.fadedM === null ? null : trace.fadedM * by,
        rangeM: trace.rangeM * by,
      };
