import { median } from 'simple-statistics';
import type { TraceEvent } from '../detect/analyse.ts';
import { BEHIND, type FitTrace, type FittedGroup } from './fitRoutes.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A trace aligned with its route. Meters of fiber from where it was shot, as its own samples count them. */
export interface AlignedTrace {
  /** Where each point of the route lies in this trace; null where nothing tells. */
  points: ({ positionM: number; sigmaM: number } | null)[];
  /** The event found at each point; null where none stood out. */
  found: (TraceEvent | null)[];
  /** Events at no point of the route. */
  unmatched: { event: TraceEvent; kind: 'unplanned' | 'ghost' }[];
  /** Fiber before the route begins, beyond what its peers have. */
  shiftM: number;
  /** Where it ends before its time; null where it does not. */
  early: { positionM: number; sigmaM: number } | null;
  /** Whether its end is the route's: by written lengths, or where these say nothing, by all splices being fused. */
  reachesEnd: boolean;
  /** How much fiber there is behind the end of the route; 0 where none. */
  lateM: number;
}

/** Events this near a point belong to it, m; more far out, for fibers are not of one length. */
const near = (at: number): number => 12 + 8e-4 * at;
/** A weak step in noise may be found so many times its uncertainty from where it is. */
const REACH = 4;
/** An end this much too soon or late is another end. */
const off = (at: number): number => 25 + 0.004 * at;

/**
 * Aligns one trace with the route its group was fitted to.
 * @param isFused whether every splice on its circuit has been fused
 */
export function alignTrace(trace: FitTrace, group: FittedGroup, isFused: boolean): AlignedTrace {
  const shift = shiftOf(trace, group);
  const moved = (at: number): number => at - shift;
  const factor = factorOf(trace, group, shift);
  const last = group.positions.length - 1;
  const free = new Set(trace.events.filter(({ kind }) => kind !== 'end'));
  // A closure takes the event nearest to it.
  const found = group.positions.map((point, index) => {
    if (!point || index === 0 || index === last) return null;
    let best: TraceEvent | null = null;
    const at = point.positionM * factor;
    for (const event of free) {
      const distance = Math.abs(moved(event.positionM) - at);
      if (distance > near(at) + REACH * event.positionSigmaM) continue;
      if (!best || distance < Math.abs(moved(best.positionM) - at)) best = event;
    }
    if (best) free.delete(best);
    return best;
  });
  takeWeak(group, found, free, (event, point) => moved(event.positionM) - point * factor);
  const points = group.positions.map((point, index) => {
    if (!point) return null;
    const own = found[index];
    // What stands out clearly says itself where it is; a small event lies where its peers do.
    if (own && (own.peakDb !== null || Math.abs(own.lossDb!) > WEAK.deviations * own.sigmaDb!))
      return { positionM: own.positionM, sigmaM: 1 };
    return {
      positionM: point.positionM * factor + shift,
      sigmaM: Math.hypot(Math.max(point.sigmaM, 1), 1.5e-4 * point.positionM),
    };
  });
  const end = trace.endM;
  const expected = group.positions[last];
  // Without a length to the end of the route, an end before a closure is still too soon.
  const reaches = group.positions.reduce((most, point) => Math.max(most, point?.positionM ?? 0), 0);
  const soon = expected ? reaches - off(reaches) : reaches + BEHIND;
  const early = end !== null && moved(end) < soon ? { positionM: end, sigmaM: 2 } : null;
  const late =
    end !== null && expected && moved(end) > expected.positionM + off(expected.positionM)
      ? moved(end) - expected.positionM
      : 0;
  const launch = group.offsetM + shift;
  const unmatched = [...free]
    .filter(
      ({ positionM: position }) =>
        position > launch + near(launch) && (end === null || position < end),
    )
    .filter(
      ({ positionM: position }) =>
        late === 0 || !expected || moved(position) < expected.positionM - 25,
    )
    .sort((a, b) => a.positionM - b.positionM)
    .map((event) => ({ event, kind: event.kind === 'echo' ? 'ghost' : 'unplanned' }) as const);
  const reachesEnd = end !== null && !early && (isFused || expected != null);
  return { points, found, unmatched, shiftM: shift, early, reachesEnd, lateM: late };
}

/** A step of fewer deviations than this may be found that far from where it is, m and share of the route. */
const WEAK = { deviations: 25, meters: 100, share: 0.004 };

/**
 * Gives closures that have no event yet the weak ones near them: noise moves a small step far along the
 * fiber, and a closure is where steps are.
 */
function takeWeak(
  { positions }: FittedGroup,
  found: (TraceEvent | null)[],
  free: Set<TraceEvent>,
  apart: (event: TraceEvent, point: number) => number,
): void {
  for (const event of [...free]) {
    if (event.peakDb !== null || Math.abs(event.lossDb!) > WEAK.deviations * event.sigmaDb!)
      continue;
    let best = -1;
    positions.forEach((point, index) => {
      if (!point || found[index] || index === 0 || index === positions.length - 1) return;
      const distance = Math.abs(apart(event, point.positionM));
      if (distance > WEAK.meters + WEAK.share * point.positionM) return;
      if (best < 0 || distance < Math.abs(apart(event, positions[best]!.positionM))) best = index;
    });
    if (best < 0) continue;
    found[best] = event;
    free.delete(event);
  }
}

/**
 * How much later than its peers a trace begins: where its events meet none of the closures as they are,
 * and meet two or more of them when all are moved by one length, that length is a launch fiber.
 */
function shiftOf({ events, endM: end }: FitTrace, { positions }: FittedGroup): number {
  const places = positions.flatMap((point, index) => (point && index > 0 ? [point.positionM] : []));
  const seen = [
    ...events.flatMap(({ kind, positionM: position, positionSigmaM: reach }) =>
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
  // The middle of what the events say, not what the first of them did.
  const offsets = seen.flatMap(({ at }) =>
    places.flatMap((place) =>
      Math.abs(at - best.shift - place) < near(place) ? [at - place] : [],
    ),
  );
  return median(offsets);
}

/** How much longer a fiber is than its peers, by where its events and its end lie. */
function factorOf(
  { events, endM: end }: FitTrace,
  { positions }: FittedGroup,
  shift: number,
): number {
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
      : events.flatMap(({ kind, positionM: position, lossDb: loss, sigmaDb: sigma }) =>
          kind !== 'end' && loss !== null && Math.abs(loss) > 5 * sigma! ? [position] : [],
        );
    for (const position of candidates)
      if (Math.abs(position - shift - point.positionM) < near(point.positionM))
        take(position - shift, point.positionM, 1);
  });
  // Fibers of a cable differ by some ten-thousandths: what is beyond that is no length.
  const prior = 1e8 * 0.01;
  const factor = (along + prior) / (square + prior);
  return Math.min(1.002, Math.max(0.998, factor));
}
