import { median } from 'simple-statistics';
import { scaledMad } from '../detect/scaledMad.ts';
import type { TraceEvent } from '../detect/analyse.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A place where fibers shot together show events. Meters of fiber. */
export interface Cluster {
  positionM: number;
  sigmaM: number;
  /** Share of the traces that show it. */
  share: number;
  /** Whether most of them reflect there. */
  reflects: boolean;
}

/** How far apart events of one place may lie: their noise, and fibers of unlike length. */
const reach = (position: number): number => 6 + 6e-4 * position;

/** Gathers the events of many traces into the places they show. */
export function clustersOf(traces: readonly { events: readonly TraceEvent[] }[]): Cluster[] {
  const all = traces
    .flatMap(({ events }, trace) =>
      events.flatMap(({ positionM: position, kind }) =>
        kind === 'end' ? [] : [{ position, trace, reflects: kind === 'reflection' }],
      ),
    )
    .sort((a, b) => a.position - b.position);
  const clusters: Cluster[] = [];
  for (let from = 0; from < all.length;) {
    let to = from + 1;
    while (to < all.length && all[to]!.position - all[to - 1]!.position < reach(all[to]!.position))
      to++;
    const own = all.slice(from, to);
    const seen = new Set(own.map(({ trace }) => trace)).size;
    const positions = own.map(({ position }) => position);
    clusters.push({
      positionM: median(positions),
      // Half a meter is what samples tell.
      sigmaM: Math.max(0.5, scaledMad(positions) / Math.sqrt(own.length), seen === 1 ? 2 : 0),
      share: seen / traces.length,
      reflects: own.filter(({ reflects }) => reflects).length * 2 > own.length,
    });
    from = to;
  }
  return clusters;
}
