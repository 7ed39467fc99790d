import { median } from 'simple-statistics';
import { scaledMad } from '../detect/scaledMad.ts';
import { type Cluster, clustersOf } from './clusters.ts';
import { type Candidate, type Correction, candidatesOf, sameSpans } from './wrongLengths.ts';
import type { TraceEvent } from '../detect/analyse.ts';
import type { CircuitRoute, RoutePoint, RouteSpan } from './route.ts';
import { type Observation, type Solution, solve } from './solve.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A trace as the fit sees it. Meters of fiber from where it was shot. */
export interface FitTrace {
  id: string;
  events: readonly TraceEvent[];
  endM: number | null;
}

/** Traces of circuits that pass the same cables, shot from the same end; the route as the light takes it. */
export interface FitGroup {
  key: string;
  route: Pick<CircuitRoute, 'points' | 'spans'>;
  traces: readonly FitTrace[];
}

/** Where the points of a route lie for traces shot from one end. Meters of fiber. */
export interface FittedGroup {
  key: string;
  points: readonly RoutePoint[];
  spans: readonly RouteSpan[];
  /** A place for each point, the end included; null where nothing tells. */
  positions: ({ positionM: number; sigmaM: number; seen: boolean } | null)[];
  /** Fiber before the first cable: a launch fiber, where the traces show its connector. */
  offsetM: number;
  launch: boolean;
}

export interface RouteFit {
  groups: Map<string, FittedGroup>;
  /** Meters of fiber that the traces show for one that was expected. */
  scale: number;
  scaleSigma: number;
  corrections: Correction[];
  /** Cables whose length is missing, so that places behind it are not known. */
  unknown: string[];
}

/** A share of the traces that must show an event before it speaks for a closure. */
const SUPPORT = 0.2;
/** How sure written lengths are, m; and the scale, before any trace is seen. */
const WRITTEN = 2;
const SCALE = 0.006;
/** A length is called wrong from here on: drop in the sum of squares, and meters. */
const WRONG = { drop: 30, meters: 6 };
const MOST_CORRECTIONS = 4;
/** Fiber there must be behind the last closure for an end nobody has placed, m. */
export const BEHIND = 15;

/**
 * Fits the written route of all circuits to the events that all traces show: one scale (helix factor and
 * group index), an offset for each end that was shot from, and what of the written lengths is wrong.
 */
export function fitRoutes(groups: readonly FitGroup[]): RouteFit {
  const unknown = [
    ...new Set(
      groups.flatMap(({ route }) =>
        route.spans.flatMap(({ sheathM: sheath, cable }, index) =>
          sheath === null && index > 0 && index < route.spans.length - 1 ? [cable] : [],
        ),
      ),
    ),
  ];
  const aligned = groups.map((group) => new Aligned(group));
  const corrections: Correction[] = [];
  let fit = fitAll(aligned, []);
  const chosen: Candidate[] = [];
  while (fit && chosen.length < MOST_CORRECTIONS) {
    const better = bestCandidate(aligned, chosen, fit);
    if (!better) break;
    chosen.push(better.candidate);
    fit = better.fit;
    // With the length corrected, closures behind it may meet their events for the first time.
    for (const group of aligned) group.match(correctionsOf(chosen, fit), fit.scale);
    fit = fitAll(aligned, chosen) ?? fit;
  }
  if (fit)
    for (const candidate of chosen)
      corrections.push(
        candidate.correctionOf(
          fit.solution.values[candidate.parameter!]!,
          fit.solution.sigmas[candidate.parameter!]!,
        ),
      );
  return {
    groups: new Map(
      aligned.map((group, index) => [
        group.group.key,
        withCorrections(group.fitted(fit, index, chosen), fit, chosen, corrections),
      ]),
    ),
    scale: fit?.scale ?? 1,
    scaleSigma: fit?.solution.sigmas[0] ?? SCALE,
    corrections,
    unknown: [...new Set([...unknown, ...aligned.flatMap((group) => group.unplaced())])],
  };
}

/** A group with its written lengths corrected, so that places are told by what is there. */
function withCorrections(
  group: FittedGroup,
  fit: Fit | null,
  chosen: readonly Candidate[],
  corrections: readonly Correction[],
): FittedGroup {
  if (!fit || chosen.length === 0) return group;
  const meters = correctionsOf(chosen, fit);
  const spans = group.spans.map((span, index) => {
    const more = (meters.get(spanKey(group, index)) ?? 0) / span.helix;
    if (more === 0 || span.sheathM === null) return span;
    const coil = (side: 0 | 1): number => {
      const { closureId } = group.points[index + side]!;
      const wrong = corrections.some(
        (one) =>
          one.kind !== 'place' &&
          one.closureId !== null &&
          one.closureId === closureId &&
          (one.cableId === null || one.cableId === span.cableId),
      );
      return wrong ? Math.max(0, span.coilsM[side] + more) : span.coilsM[side];
    };
    return {
      ...span,
      sheathM: span.sheathM + more,
      coilsM: [coil(0), coil(1)] as [number, number],
    };
  });
  return { ...group, spans };
}

const spanKey = (
  route: { points: readonly RoutePoint[]; spans: readonly RouteSpan[] },
  index: number,
): string => {
  const ends = [route.points[index]!, route.points[index + 1]!].map(
    ({ closureId, name }) => closureId ?? name,
  );
  return `${route.spans[index]!.cableId} ${ends.sort().join(' ')}`;
};

/** A group with the places its closures were matched to. */
class Aligned {
  readonly group: FitGroup;
  readonly clusters: Cluster[];
  readonly end: { positionM: number; sigmaM: number } | null;
  readonly keys: string[];
  /** Index of the cluster at each point; -1 where none was seen. */
  matched: number[] = [];
  offset = 0;
  launch = false;
  /** Whether the end that is seen is the end of the route; fibers that are not joined through end before it. */
  endFits = false;

  constructor(group: FitGroup) {
    this.group = group;
    this.clusters = clustersOf(group.traces);
    this.keys = group.route.spans.map((_, index) => spanKey(group.route, index));
    const ends = group.traces.flatMap(({ endM: end }) => end ?? []);
    // Ends that come early are broken fibers: the median of many is the cable's.
    this.end =
      ends.length === 0
        ? null
        : {
            positionM: median(ends),
            sigmaM: Math.max(1, scaledMad(ends) / Math.sqrt(ends.length)),
          };
    this.match(new Map(), 1);
  }

  /**
   * Fiber from the first point to each, as it is written and corrected; null behind a gap. Where nobody has
   * said how long the first cable is, from its closure on.
   */
  expected(corrections: ReadonlyMap<string, number>): (number | null)[] {
    const list: (number | null)[] = [this.group.route.spans[0]!.sheathM === null ? null : 0];
    this.group.route.spans.forEach(({ sheathM: sheath, helix }, index) => {
      const before = list[index]!;
      const first = index === 0 && sheath === null;
      list.push(
        first
          ? 0
          : before === null || sheath === null
            ? null
            : before + sheath * helix + (corrections.get(this.keys[index]!) ?? 0),
      );
    });
    return list;
  }

  /** Matches closures to clusters under the offset and scale that agree with the most. */
  match(corrections: ReadonlyMap<string, number>, scale: number): void {
    const expected = this.expected(corrections);
    const open = this.group.route.spans[0]!.sheathM === null;
    const strong = this.clusters.filter(({ share }) => share >= SUPPORT);
    const last = expected.at(-1) ?? null;
    let best = { score: -Infinity, offset: 0, scale: 1, launch: false };
    const offsets = [
      { offset: 0, launch: false },
      ...strong.map(({ positionM: position, reflects }) => ({
        offset: position,
        launch: reflects && !open,
      })),
    ];
    // With no length for the first cable, any closure may lie at any event.
    if (open)
      for (const { positionM: position } of strong)
        for (const point of expected.slice(1, -1))
          if (point !== null && position >= point)
            offsets.push({ offset: position - point, launch: false });
    for (const { offset, launch } of offsets) {
      if (!open && !launch && offset > 40) continue;
      const scales = [scale, 1];
      if (last !== null && this.end) scales.push((this.end.positionM - offset) / last);
      for (const tried of scales) {
        if (tried < 0.93 || tried > 1.07) continue;
        const score =
          this.scoreOf(expected, offset, tried) -
          0.5 * Math.min(1, ((tried - 1) / 0.02) ** 2) -
          (launch ? 0.6 : 0);
        if (score > best.score) best = { score, offset, scale: tried, launch };
      }
    }
    this.offset = best.offset;
    this.launch = best.launch;
    this.matched = this.matchOf(expected, best.offset, best.scale);
    this.endFits = this.isEnd(expected, best.offset, best.scale);
  }

  /** An end is the route's where its length says so; where nobody said it, at least behind all closures. */
  private isEnd(expected: readonly (number | null)[], offset: number, scale: number): boolean {
    if (!this.end) return false;
    const last = expected.at(-1) ?? null;
    const known = expected.flatMap((place) => place ?? []);
    const farthest = offset + scale * (known.length > 0 ? Math.max(...known) : 0);
    if (last === null) return this.end.positionM > farthest + BEHIND;
    return Math.abs(this.end.positionM - offset - scale * last) < 250 + 0.02 * last;
  }

  private scoreOf(expected: readonly (number | null)[], offset: number, scale: number): number {
    let score = 0;
    for (const [point, cluster] of this.matchOf(expected, offset, scale).entries()) {
      if (cluster < 0) continue;
      const { positionM: position, share } = this.clusters[cluster]!;
      const off = (position - offset - scale * expected[point]!) / toleranceOf(expected, point);
      score += share * (1 - off * off) + 0.2;
    }
    const last = expected.at(-1);
    if (last != null && this.end) {
      const off = (this.end.positionM - offset - scale * last) / (60 + 0.01 * last);
      score += Math.max(-0.5, 1.5 * (1 - off * off));
    }
    return score;
  }

  private matchOf(expected: readonly (number | null)[], offset: number, scale: number): number[] {
    const taken = new Set<number>();
    return expected.map((place, point) => {
      // The two ends of the route are no closures.
      if (place === null || point === 0 || point === expected.length - 1) return -1;
      const at = offset + scale * place;
      let best = -1;
      let least = toleranceOf(expected, point);
      this.clusters.forEach(({ positionM: position, share }, index) => {
        if (share < SUPPORT || taken.has(index)) return;
        // Of two at hand the one that more fibers show.
        const off = Math.abs(position - at) / (0.5 + share);
        if (Math.abs(position - at) < toleranceOf(expected, point) && off < least) {
          least = off;
          best = index;
        }
      });
      if (best >= 0) taken.add(best);
      return best;
    });
  }

  /**
   * The first cable, where nobody has said how long it is and no closure was seen behind it, nor an end that has a place:
   * then no point of the route has a place in these traces. Empty otherwise.
   */
  unplaced(): string[] {
    const first = this.group.route.spans[0]!;
    if (first.sheathM !== null) return [];
    const isSeen = this.matched.some((cluster) => cluster >= 0);
    // Where the far end has a place, its end places all before it.
    const isEndPlaced = this.endFits && this.expected(new Map()).at(-1) != null;
    return isSeen || isEndPlaced ? [] : [first.cable];
  }

  /** Where every point lies, by what was seen there or by the fit; null for all where nothing places them. */
  fitted(fit: Fit | null, index: number, chosen: readonly Candidate[]): FittedGroup {
    const { route } = this.group;
    const corrections = fit ? correctionsOf(chosen, fit) : new Map<string, number>();
    const scale = fit?.scale ?? 1;
    const offset = fit ? fit.solution.values[1 + index]! : this.offset;
    const isPlaced = this.unplaced().length === 0;
    const positions = this.expected(corrections).map((place, point, all) => {
      if (!isPlaced) return null;
      const cluster = this.clusters[this.matched[point] ?? -1];
      if (cluster) return { positionM: cluster.positionM, sigmaM: cluster.sigmaM, seen: true };
      if (point === all.length - 1 && this.end && this.endFits) return { ...this.end, seen: true };
      if (place === null) return null;
      return { positionM: offset + scale * place, sigmaM: 2 + 0.001 * place, seen: false };
    });
    return {
      key: this.group.key,
      points: route.points,
      spans: route.spans,
      positions,
      offsetM: this.launch ? offset : 0,
      launch: this.launch,
    };
  }
}

function toleranceOf(expected: readonly (number | null)[], point: number): number {
  const at = expected[point]!;
  const beside = [expected[point - 1], expected[point + 1]].flatMap((other) =>
    other == null ? [] : [0.4 * Math.abs(other - at)],
  );
  return Math.max(8, Math.min(60 + 0.012 * at, ...beside));
}

interface Fit {
  solution: Solution;
  scale: number;
}

/** Meters of fiber that the chosen candidates add to each span. */
function correctionsOf(chosen: readonly Candidate[], { solution }: Fit): Map<string, number> {
  const corrections = new Map<string, number>();
  for (const { spans, parameter } of chosen)
    for (const [span, sign] of spans)
      corrections.set(span, (corrections.get(span) ?? 0) + sign * solution.values[parameter!]!);
  return corrections;
}

/**
 * Parameter 0 is the scale, then an offset for each group, then a length for each candidate; what is
 * known beforehand of scale and offsets counts as an observation.
 */
function fitAll(aligned: readonly Aligned[], candidates: readonly Candidate[]): Fit | null {
  const count = 1 + aligned.length + candidates.length;
  const observations: Observation[] = [{ of: new Map([[0, 1]]), seen: 1, sigma: SCALE }];
  candidates.forEach((candidate, index) => (candidate.parameter = 1 + aligned.length + index));
  aligned.forEach((group, index) => {
    const expected = group.expected(new Map());
    const open = group.group.route.spans[0]!.sheathM === null;
    observations.push({
      of: new Map([[1 + index, 1]]),
      seen: group.offset,
      sigma: open || group.launch ? 10_000 : 3,
    });
    const seenAt = (point: number, at: number, sigma: number) => {
      const place = expected[point];
      if (place == null) return;
      const of = new Map([
        [0, place],
        [1 + index, 1],
      ]);
      for (const candidate of candidates) {
        let times = 0;
        for (let span = 0; span < point; span++)
          times += candidate.spans.get(group.keys[span]!) ?? 0;
        if (times !== 0) of.set(candidate.parameter!, times);
      }
      observations.push({ of, seen: at, sigma: Math.hypot(sigma, WRITTEN) });
    };
    group.matched.forEach((cluster, point) => {
      if (cluster < 0) return;
      const { positionM: position, sigmaM: sigma } = group.clusters[cluster]!;
      seenAt(point, position, sigma);
    });
    if (group.end && group.endFits)
      seenAt(expected.length - 1, group.end.positionM, group.end.sigmaM);
  });
  const solution = solve(count, observations);
  return solution && { solution, scale: solution.values[0]! };
}

/** The wrong length that explains the most, if it explains enough. */
function bestCandidate(
  aligned: readonly Aligned[],
  chosen: readonly Candidate[],
  before: Fit,
): { candidate: Candidate; fit: Fit } | null {
  let best: { candidate: Candidate; fit: Fit } | null = null;
  for (const candidate of candidatesOf(
    aligned.map(({ group, keys }) => ({ route: group.route, keys })),
  )) {
    if (chosen.some((other) => sameSpans(other, candidate))) continue;
    const fit = fitAll(aligned, [...chosen, candidate]);
    if (!fit) continue;
    const meters = Math.abs(fit.solution.values[candidate.parameter!]!);
    const drop = before.solution.left - fit.solution.left;
    if (drop < WRONG.drop || meters < WRONG.meters) continue;
    if (!best || fit.solution.left < best.fit.solution.left - 1) best = { candidate, fit };
  }
  // The parameter's number is that of the winner.
  if (best) best.fit = fitAll(aligned, [...chosen, best.candidate])!;
  return best;
}
