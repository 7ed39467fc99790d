import { median } from 'simple-statistics';
import type { CorrectionMessage } from '../messages.ts';
import type { CircuitRoute, RoutePoint, RouteSpan } from './route.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A length that the traces do not bear out. Meters. */
export interface Correction {
  /** `coil`: the coils at a closure; `span`: one cable between two closures; `place`: the closure's distance. */
  kind: 'coil' | 'span' | 'place';
  closureId: string | null;
  cableId: string | null;
  /** How much more there is than was written, and its standard deviation. */
  meters: number;
  sigma: number;
  message: CorrectionMessage;
}

/** A route, and a key for each of its spans by which groups share them. */
export interface KeyedWay {
  route: Pick<CircuitRoute, 'points' | 'spans'>;
  keys: readonly string[];
}

/** What of the written lengths may be wrong: spans by key, each with its sign. */
export interface Candidate {
  spans: Map<string, number>;
  parameter?: number;
  correctionOf(meters: number, sigma: number): Correction;
}

export const sameSpans = (a: Candidate, b: Candidate): boolean =>
  a.spans.size === b.spans.size && [...a.spans].every(([span, sign]) => b.spans.get(span) === sign);

/**
 * Everything that may be written wrongly on the routes of some groups: each span, the loops of each closure, its
 * distance.
 * @param groups routes, with the key of each of their spans
 */
export function candidatesOf(groups: readonly KeyedWay[]): Candidate[] {
  const list: Candidate[] = [];
  const known = new Set<string>();
  const coils = groups.flatMap(({ route }) =>
    route.spans.flatMap((span, index) =>
      ([0, 1] as const).flatMap((side) =>
        route.points[index + side]!.closureId === null ? [] : [span.coilsM[side]],
      ),
    ),
  );
  const usual = coils.length === 0 ? 0 : median(coils);
  for (const { route, keys } of groups) {
    const { points, spans } = route;
    keys.forEach((key, index) => {
      if (known.has(key)) return;
      known.add(key);
      list.push({
        spans: new Map([[key, 1]]),
        correctionOf: (meters, sigma) =>
          ofSpan(spans[index]!, points[index]!, points[index + 1]!, meters, sigma, usual),
      });
    });
    points.forEach((point, index) => {
      // At its own end a route has one span only, which is a candidate already.
      const isEnd = index === 0 || index === spans.length;
      if (isEnd || point.closureId === null || known.has(point.closureId)) return;
      known.add(point.closureId);
      const [before, after] = [keys[index - 1]!, keys[index]!];
      list.push({
        spans: new Map([
          [before, 1],
          [after, 1],
        ]),
        correctionOf: (meters, sigma) => ({
          kind: 'coil',
          closureId: point.closureId,
          cableId: null,
          meters,
          sigma,
          message: {
            code: 'loops',
            closure: point.name,
            ...sizeOf(meters, sigma),
            ...loopOf(spans[index - 1]!.coilsM[1], meters),
          },
        }),
      });
      if (spans[index - 1]!.marked || spans[index]!.marked) return;
      list.push({
        spans: new Map([
          [before, 1],
          [after, -1],
        ]),
        correctionOf: (meters, sigma) => ({
          kind: 'place',
          closureId: point.closureId,
          cableId: null,
          meters,
          sigma,
          message: {
            code: 'place',
            closure: point.name,
            by: { tapeM: Math.abs(meters), errorM: sigma },
            farther: meters > 0 ? 'yes' : 'no',
          },
        }),
      });
    });
  }
  return list;
}

/** One cable between two points: its two coils or its marks. A coil that would come out as usual is the likely one. */
function ofSpan(
  span: RouteSpan,
  from: RoutePoint,
  to: RoutePoint,
  meters: number,
  sigma: number,
  usual: number,
): Correction {
  const head = { cable: span.cable, from: from.name, to: to.name, ...sizeOf(meters, sigma) };
  const sides = ([from, to] as const)
    .map((point, side) => ({ point, coil: span.coilsM[side]! }))
    .filter(({ point, coil }) => point.closureId !== null && coil + meters > -3)
    .map((side) => ({ ...side, off: Math.abs(side.coil + meters - usual) }))
    .sort((a, b) => a.off - b.off);
  const [likely, other] = sides;
  const clear = likely !== undefined && likely.off < 8 && (!other || other.off > likely.off + 8);
  const message: CorrectionMessage = span.marked
    ? { code: 'spanMarks', ...head }
    : clear
      ? {
          code: 'spanLoop',
          ...head,
          closure: likely.point.name,
          ...loopOf(likely.coil, meters),
        }
      : sides.length > 0
        ? { code: 'spanLoops', ...head, closures: sides.map(({ point }) => point.name) }
        : { code: 'span', ...head };
  return {
    kind: 'span',
    closureId: clear && !span.marked ? likely.point.closureId : null,
    cableId: span.cableId,
    meters,
    sigma,
    message,
  };
}

const sizeOf = (meters: number, sigma: number) => ({
  by: { tapeM: Math.abs(meters), errorM: Math.max(1, sigma) },
  longer: meters > 0 ? ('yes' as const) : ('no' as const),
});

const loopOf = (written: number, meters: number) => ({
  written: { tapeM: written },
  measured: { tapeM: Math.max(0, written + meters) },
});
