import { median } from 'simple-statistics';
import type { TraceEvent } from '../detect/analyse.ts';
import { BEHIND, type FitTrace, type FittedGroup } from './fitRoutes.ts';

/** A trace laid along its way. Meters of fiber from where it was shot, as its own samples count them. */
export interface AlignedTrace {
  /** Where each point of the way lies in this trace; null where nothing tells. */
  points: ({ at: number; sigma: number } | null)[];
  /** The joint found at each point; null where none stood out. */
  found: (TraceEvent | null)[];
  /** Joints at no point of the way. */
  unmatched: { joint: TraceEvent; kind: 'unplanned' | 'ghost' }[];
  /** Fiber before the way begins, beyond what its peers have. */
  shift: number;
  /** Where it ends before its time; null where it does not. */
  early: { at: number; sigma: number } | null;
  /** How much fiber there is behind the end of the way; 0 where none. */
  late: number;
}

/** Joints this near a point belong to it, m; more far out, for fibers are not of one length. */
const near = (at: number): number => 12 + 8e-4 * at;
/** A weak step in noise may be found so many times its uncertainty from where it is. */
const REACH = 4;
/** An end this much too soon or late is another end. */
const off = (at: number): number => 25 + 0.004 * at;

/** Lays one trace along the way its group was fitted to. */
export function alignTrace(trace: FitTrace, group: FittedGroup): AlignedTrace {
  const shift = shiftOf(trace, group);
  const moved = (at: number): number => at - shift;
  const factor = factorOf(trace, group, shift);
  const last = group.positions.length - 1;
  const free = new Set(trace.joints.filter(({ kind }) => kind !== 'end'));
  // A closure takes the joint nearest to it.
  const found = group.positions.map((point, index) => {
    if (!point || index === 0 || index === last) return null;
    let best: TraceEvent | null = null;
    const at = point.at * factor;
    for (const joint of free) {
      const distance = Math.abs(moved(joint.position) - at);
      if (distance > near(at) + REACH * joint.reach) continue;
      if (!best || distance < Math.abs(moved(best.position) - at)) best = joint;
    }
    if (best) free.delete(best);
    return best;
  });
  takeWeak(group, found, free, (joint, point) => moved(joint.position) - point * factor);
  const points = group.positions.map((point, index) => {
    if (!point) return null;
    const own = found[index];
    // What stands out clearly says itself where it is; a small joint lies where its peers do.
    if (own && (own.peak !== null || Math.abs(own.loss!) > WEAK.deviations * own.sigma!))
      return { at: own.position, sigma: 1 };
    return {
      at: point.at * factor + shift,
      sigma: Math.hypot(Math.max(point.sigma, 1), 1.5e-4 * point.at),
    };
  });
  const end = trace.end;
  const expected = group.positions[last];
  // Without a length to the end of the way, an end before a closure is still too soon.
  const reaches = group.positions.reduce((most, point) => Math.max(most, point?.at ?? 0), 0);
  const soon = expected ? reaches - off(reaches) : reaches + BEHIND;
  const early = end !== null && moved(end) < soon ? { at: end, sigma: 2 } : null;
  const late =
    end !== null && expected && moved(end) > expected.at + off(expected.at)
      ? moved(end) - expected.at
      : 0;
  const launch = group.offset + shift;
  const unmatched = [...free]
    .filter(({ position }) => position > launch + near(launch) && (end === null || position < end))
    .filter(({ position }) => late === 0 || !expected || moved(position) < expected.at - 25)
    .sort((a, b) => a.position - b.position)
    .map(
      (joint) => ({ joint, kind: isGhost(joint, trace.joints) ? 'ghost' : 'unplanned' }) as const,
    );
  return { points, found, unmatched, shift, early, late };
}

/** A step of fewer deviations than this may be found that far from where it is, m and share of the way. */
const WEAK = { deviations: 25, meters: 100, share: 0.004 };

/**
 * Gives closures that have no joint yet the weak ones near them: noise moves a small step far along the
 * fiber, and a closure is where steps are.
 */
function takeWeak(
  { positions }: FittedGroup,
  found: (TraceEvent | null)[],
  free: Set<TraceEvent>,
  apart: (joint: TraceEvent, point: number) => number,
): void {
  for (const joint of [...free]) {
    if (joint.peak !== null || Math.abs(joint.loss!) > WEAK.deviations * joint.sigma!) continue;
    let best = -1;
    positions.forEach((point, index) => {
      if (!point || found[index] || index === 0 || index === positions.length - 1) return;
      const distance = Math.abs(apart(joint, point.at));
      if (distance > WEAK.meters + WEAK.share * point.at) return;
      if (best < 0 || distance < Math.abs(apart(joint, positions[best]!.at))) best = index;
    });
    if (best < 0) continue;
    found[best] = joint;
    free.delete(joint);
  }
}

/**
 * How much later than its peers a trace begins: where its joints meet none of the closures as they are,
 * and meet two or more of them when all are moved by one length, that length is a launch fiber.
 */
function shiftOf({ joints, end }: FitTrace, { positions }: FittedGroup): number {
  const places = positions.flatMap((point, index) => (point && index > 0 ? [point.at] : []));
  const seen = [
    ...joints.flatMap(({ kind, position, reach }) =>
      kind === 'end' ? [] : [{ at: position, reach }],
    ),
    ...(end === null ? [] : [{ at: end, reach: 0 }]),
  ];
  // What noise moved away from its closure makes no launch fiber with others that it moved alike.
  const met = (shift: number): number =>
    seen.filter(({ at, reach }) =>
      places.some((place) => Math.abs(at - shift - place) < near(place) + REACH * reach),
    ).length;
  const asItIs = met(0);
  if (asItIs * 2 >= Math.min(seen.length, places.length)) return 0;
  let best = { shift: 0, count: asItIs };
  for (const { at } of seen)
    for (const place of places) {
      const shift = at - place;
      if (shift < 20 || shift > 6000) continue;
      const count = met(shift);
      if (count > best.count) best = { shift, count };
    }
  if (best.count < 2 || best.count < asItIs + 2) return 0;
  // The middle of what the joints say, not what the first of them did.
  const offsets = seen.flatMap(({ at }) =>
    places.flatMap((place) =>
      Math.abs(at - best.shift - place) < near(place) ? [at - place] : [],
    ),
  );
  return median(offsets);
}

/** How much longer a fiber is than its peers, by where its joints and its end lie. */
function factorOf({ joints, end }: FitTrace, { positions }: FittedGroup, shift: number): number {
  let [along, square] = [0, 0];
  const take = (at: number, place: number, weight: number) => {
    along += weight * at * place;
    square += weight * place * place;
  };
  positions.forEach((point, index) => {
    if (!point || index === 0) return;
    const last = index === positions.length - 1;
    const candidates = last
      ? end === null
        ? []
        : [end]
      : joints.flatMap(({ kind, position, loss, sigma }) =>
          kind !== 'end' && loss !== null && Math.abs(loss) > 5 * sigma! ? [position] : [],
        );
    for (const position of candidates)
      if (Math.abs(position - shift - point.at) < near(point.at))
        take(position - shift, point.at, 1);
  });
  // Fibers of a cable differ by some ten-thousandths: what is beyond that is no length.
  const prior = 1e8 * 0.01;
  const factor = (along + prior) / (square + prior);
  return Math.min(1.002, Math.max(0.998, factor));
}

/** A reflection is seen again at the sum of two distances, and loses nothing there. */
function isGhost(joint: TraceEvent, joints: readonly TraceEvent[]): boolean {
  if (joint.kind !== 'reflection' || joint.loss === null) return false;
  if (Math.abs(joint.loss) > Math.max(0.02, 3 * joint.sigma!)) return false;
  const mirrors = joints.filter(
    (other) => other !== joint && other.peak !== null && other.position < joint.position,
  );
  return mirrors.some((one) =>
    mirrors.some((two) => Math.abs(one.position + two.position - joint.position) < 8),
  );
}
