import { middleOf } from './clusters.ts';
import { type LaidTrace, layTrace } from './lay.ts';
import type { PlacedJoint } from './pair.ts';
import { type CircuitRoute, pathOf, turned } from './route.ts';
import { type FitGroup, type RouteFit, type FittedGroup, fitRoutes } from './routeFit.ts';
import type { TraceFigures } from './trace.ts';

/** A trace with what was found in it and where it belongs. Meters of fiber as its file counts them. */
export interface ProofTrace {
  id: string;
  /** The file's name. */
  name: string;
  circuit: string;
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  joints: readonly PlacedJoint[];
  end: number | null;
  /** Where the fiber is lost in noise; null where it is not. */
  faded: number | null;
  /** How far the samples go. */
  range: number;
  /** Group index x 100 000. */
  groupIndex: number;
  /** Digest of its samples: two files may hold the same ones. */
  samples: string;
}

/** What is odd about traces, in words. */
export interface ProofProblem {
  kind:
    | 'same samples'
    | 'group index'
    | 'noise only'
    | 'no end'
    | 'launch fiber'
    | 'receive fiber'
    | 'scale'
    | 'length unknown'
    | 'shot twice'
    | 'direction missing'
    | 'wavelengths'
    | 'mixed up'
    | 'end from one side';
  circuit: string | null;
  traces: string[];
  words: string;
}

/** Traces laid along their ways, before they are measured. */
export interface LaidProof {
  traces: ProofTrace[];
  fit: RouteFit;
  /** By trace. */
  laid: Map<string, LaidTrace>;
  group(trace: ProofTrace): FittedGroup;
  /** What a trace's distances are multiplied by, for its group index is not that of its fellows. */
  stretch: Map<string, number>;
  problems: ProofProblem[];
}

/** A group index this far from its fellows' is a slip. */
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
export function layTraces(
  circuits: ReadonlyMap<string, CircuitRoute>,
  all: readonly ProofTrace[],
): LaidProof {
  const problems: ProofProblem[] = [];
  const current = lastOf(all, circuits, problems);
  const { stretch, words } = stretchOf(current);
  problems.push(...words);
  const stretched = current.map((trace) => scaled(trace, stretch.get(trace.id)!));
  const silent = (trace: ProofTrace) => trace.end !== null && trace.end < NO_FIBER;
  for (const trace of stretched.filter(silent))
    problems.push({
      kind: 'noise only',
      circuit: trace.circuit,
      traces: [trace.id],
      words: `${trace.name}: noise only, no fiber is seen. Was it plugged in, and into the right port?`,
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
        route: trace.direction === 'AB' ? route : turned(route),
        traces: [trace],
      });
  }
  const fit = fitRoutes([...groups.values()]);
  const group = (trace: ProofTrace) => fit.groups.get(keyOf(trace))!;
  const laid = new Map(traces.map((trace) => [trace.id, layTrace(trace, group(trace))]));
  problems.push(...fitProblems(fit, traces, laid, group, circuits));
  return { traces, fit, laid, group, stretch, problems };
}

function lastOf(
  all: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
  problems: ProofProblem[],
): ProofTrace[] {
  const last = new Map<string, ProofTrace[]>();
  for (const trace of all) {
    const key = `${trace.circuit} ${trace.direction} ${trace.wavelengthNm}`;
    last.set(key, [...(last.get(key) ?? []), trace]);
  }
  return [...last.values()].map((shots) => {
    const trace = shots.at(-1)!;
    if (shots.length > 1)
      problems.push({
        kind: 'shot twice',
        circuit: trace.circuit,
        traces: shots.map(({ id }) => id),
        words: `${circuits.get(trace.circuit)!.label} ${trace.direction} at ${trace.wavelengthNm} nm has ${shots.length} traces: the last that came in counts, ${trace.name}.`,
      });
    return trace;
  });
}

function stretchOf(traces: readonly ProofTrace[]) {
  const stretch = new Map<string, number>();
  const words: ProofProblem[] = [];
  for (const nm of new Set(traces.map(({ wavelengthNm }) => wavelengthNm))) {
    const own = traces.filter(({ wavelengthNm }) => wavelengthNm === nm);
    const usual = middleOf(own.map(({ groupIndex }) => groupIndex));
    const odd: ProofTrace[] = [];
    for (const trace of own) {
      const ratio = trace.groupIndex / usual;
      const slip = Math.abs(ratio - 1) > SLIP;
      stretch.set(trace.id, slip ? ratio : 1);
      if (slip) odd.push(trace);
    }
    if (odd.length > 0)
      words.push({
        kind: 'group index',
        circuit: null,
        traces: odd.map(({ id }) => id),
        words: `${namesOf(odd)}: shot with a group index of ${odd[0]!.groupIndex / 100_000}, the others at ${nm} nm with ${usual / 100_000}. Distances are taken by the others’.`,
      });
  }
  return { stretch, words };
}

/** Names of files: the first few, and how many more. */
export function namesOf(traces: readonly { name: string }[]): string {
  const shown = traces.slice(0, 3).map(({ name }) => name);
  const more = traces.length - shown.length;
  return more > 0 ? `${shown.join(', ')} and ${more} more` : shown.join(', ');
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

function sameSamples(
  traces: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  const bySamples = new Map<string, ProofTrace[]>();
  for (const trace of traces)
    bySamples.set(trace.samples, [...(bySamples.get(trace.samples) ?? []), trace]);
  return [...bySamples.values()]
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

function fitProblems(
  fit: RouteFit,
  traces: readonly ProofTrace[],
  laid: ReadonlyMap<string, LaidTrace>,
  groupOf: (trace: ProofTrace) => FittedGroup,
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  const problems: ProofProblem[] = [];
  for (const cable of fit.unknown)
    problems.push({
      kind: 'length unknown',
      circuit: null,
      traces: [],
      words: `Nobody has said how long cable ${cable} is between its closures: give their distances or its sheath marks, or what lies behind it cannot be told.`,
    });
  if (Math.abs(fit.scale - 1) > 0.012 && Math.abs(fit.scale - 1) > 4 * fit.scaleSigma) {
    const index = middleOf(traces.map(({ groupIndex }) => groupIndex)) / 100_000;
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
        words: `${trace.name}: there are ${late.toFixed(0)} m of fiber behind the end of the circuit. A receive fiber, or the wrong circuit?`,
      });
    if (trace.end === null)
      problems.push({
        kind: 'no end',
        circuit: trace.circuit,
        traces: [trace.id],
        words: noEndWords(trace, group, circuits),
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
          words: `${circuits.get(trace.circuit)!.label}: ${trace.direction} it ends at ${(early.at / 1000).toFixed(3)} km, from the other side it is whole. A fiber breaks for both: are two files mixed up, or was it mended between the shots?`,
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
      words: `${namesOf(list)}: the first ${meters.toFixed(0)} m are a launch fiber. They are taken off; distances count from its end.`,
    });
  }
  return problems;
}

function noEndWords(
  trace: ProofTrace,
  group: FittedGroup,
  circuits: ReadonlyMap<string, CircuitRoute>,
): string {
  const last = group.positions.at(-1);
  const label = circuits.get(trace.circuit)!.label;
  if (trace.faded !== null)
    return `${trace.name}: ${label} is lost in noise from ${(trace.faded / 1000).toFixed(1)} km on. Average longer, or take a longer pulse.`;
  return last && last.at > trace.range
    ? `${trace.name}: the range of ${(trace.range / 1000).toFixed(1)} km is too short for ${label}, which ends at ${(last.at / 1000).toFixed(1)} km.`
    : `${trace.name}: no end is seen within ${(trace.range / 1000).toFixed(1)} km. Shoot with a longer range.`;
}

/** A figure with its standard deviation, dB. */
export interface Figured {
  loss: number;
  sigma: number;
}

/** A splice as the traces of one wavelength have it; AB along the circuit. dB. */
export interface JointProof {
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
  proof: LaidProof,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
): { joints: JointProof[]; totals: TotalProof[] } {
  const pairs = new Map<string, { AB: ProofTrace | null; BA: ProofTrace | null }>();
  for (const trace of proof.traces) {
    const key = `${trace.circuit}|${trace.wavelengthNm}`;
    const pair = pairs.get(key) ?? { AB: null, BA: null };
    pair[trace.direction] = trace;
    pairs.set(key, pair);
  }
  const joints: JointProof[] = [];
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

/** Directions and wavelengths that are missing, circuit by circuit. */
export function missingOf(
  traces: readonly ProofTrace[],
  circuits: ReadonlyMap<string, CircuitRoute>,
): ProofProblem[] {
  const byCircuit = new Map<string, ProofTrace[]>();
  for (const trace of traces)
    byCircuit.set(trace.circuit, [...(byCircuit.get(trace.circuit) ?? []), trace]);
  const problems: ProofProblem[] = [];
  for (const [circuit, own] of byCircuit) {
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
