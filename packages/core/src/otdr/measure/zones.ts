import type { AlignedTrace } from '../align/alignTrace.ts';
import type { TraceEvent } from '../detect/analyse.ts';
import type { Zone } from './measureAt.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** Samples between two events that are too few for a line. */
const CLOSE = 30;

/** The fiber's own start is no event, m. */
const LAUNCH = 20;

/** Samples that a trace's events take, for measuring: planned places and unmatched that lose something. */
export function zonesOf(
  aligned: AlignedTrace,
  toSample: (meters: number) => number,
  pulse: number,
): { zones: Zone[]; points: number[]; unmatched: number[] } {
  const list = [
    ...aligned.points.flatMap((point, index) =>
      point &&
      // The first point is an event where a launch fiber lies before it.
      (index > 0 || point.positionM > LAUNCH) &&
      index < aligned.points.length - 1 &&
      (!aligned.early || point.positionM < aligned.early.positionM)
        ? [{ ...point, point: index, event: -1 }]
        : [],
    ),
    ...aligned.unmatched.flatMap(({ event, kind }, index) =>
      kind === 'ghost' || !standsOut(event)
        ? []
        : [{ positionM: event.positionM, sigmaM: 1, point: -1, event: index }],
    ),
  ].sort((a, b) => a.positionM - b.positionM);
  const zones: Zone[] = [];
  const result = { zones, points: [] as number[], unmatched: [] as number[] };
  for (const { positionM, sigmaM, point, event } of list) {
    const before = zones.at(-1);
    const sample = toSample(positionM);
    const spread = Math.abs(toSample(positionM + 2 * sigmaM) - sample);
    const zone: Zone = {
      startIndex: Math.floor(sample - spread - 1),
      endIndex: Math.ceil(sample + spread + pulse + 1),
    };
    // Two events within a pulse are one to the samples.
    if (before && zone.startIndex <= before.endIndex + pulse + CLOSE) {
      before.endIndex = Math.max(before.endIndex, zone.endIndex);
      continue;
    }
    zones.push(zone);
    result.points.push(point);
    result.unmatched.push(event);
  }
  return result;
}

/** Whether an event at no closure is one for sure; what may be noise must not cut a line in two. */
const standsOut = ({ peakDb, lossDb, sigmaDb }: TraceEvent): boolean =>
  peakDb !== null || Math.abs(lossDb!) > 8 * sigmaDb!;
