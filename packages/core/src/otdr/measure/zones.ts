import type { AlignedTrace } from '../align/alignTrace.ts';
import type { TraceEvent } from '../detect/analyse.ts';
import type { Zone } from './measureAt.ts';

/** Samples between two joints that are too few for a line. */
const CLOSE = 30;

/** The fiber's own start is no joint, m. */
const LAUNCH = 20;

/** Samples that a trace's joints take, for measuring: planned places and unmatched that lose something. */
export function zonesOf(
  laid: AlignedTrace,
  toSample: (meters: number) => number,
  pulse: number,
): { zones: Zone[]; points: number[]; unmatched: number[] } {
  const list = [
    ...laid.points.flatMap((point, index) =>
      point &&
      // The first point is a joint where a launch fiber lies before it.
      (index > 0 || point.at > LAUNCH) &&
      index < laid.points.length - 1 &&
      (!laid.early || point.at < laid.early.at)
        ? [{ ...point, point: index, event: -1 }]
        : [],
    ),
    ...laid.unmatched.flatMap(({ joint, kind }, index) =>
      kind === 'ghost' || !standsOut(joint)
        ? []
        : [{ at: joint.position, sigma: 1, point: -1, event: index }],
    ),
  ].sort((a, b) => a.at - b.at);
  const zones: Zone[] = [];
  const result = { zones, points: [] as number[], unmatched: [] as number[] };
  for (const { at, sigma, point, event } of list) {
    const before = zones.at(-1);
    const spread = Math.abs(toSample(at + 2 * sigma) - toSample(at));
    const zone = {
      at: Math.floor(toSample(at) - spread - 1),
      to: Math.ceil(toSample(at) + spread + pulse + 1),
    };
    // Two joints within a pulse are one to the samples.
    if (before && zone.at <= before.to + pulse + CLOSE) {
      before.to = Math.max(before.to, zone.to);
      continue;
    }
    zones.push(zone);
    result.points.push(point);
    result.unmatched.push(event);
  }
  return result;
}

/** Whether a joint at no closure is one for sure; what may be noise must not cut a line in two. */
const standsOut = ({ peak, loss, sigma }: TraceEvent): boolean =>
  peak !== null || Math.abs(loss!) > 8 * sigma!;
