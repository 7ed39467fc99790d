import { median } from 'simple-statistics';
import { formatMeters, formatWithError } from '../../measure/distance.ts';
import type { DistanceUnit } from '../../record/units.ts';
import type { CircuitRoute, RoutePoint, RouteSpan } from './route.ts';

/** A length that the traces do not bear out. Meters. */
export interface Correction {
  /** `coil`: the coils at a closure; `span`: one cable between two closures; `place`: the closure's distance. */
  kind: 'coil' | 'span' | 'place';
  closureId: string | null;
  cableId: string | null;
  /** How much more there is than was written, and its standard deviation. */
  meters: number;
  sigma: number;
  words: string;
}

/** A way, and a key for each of its spans by which groups share them. */
export interface KeyedWay {
  route: Pick<CircuitRoute, 'points' | 'spans'>;
  keys: readonly string[];
}

/** What of the written lengths may be wrong: spans by key, each with its sign. */
export interface Candidate {
  spans: Map<string, number>;
  parameter?: number;
  /** @param unit in which its lengths are told */
  correctionOf(meters: number, sigma: number, unit: DistanceUnit): Correction;
}

export const sameSpans = (a: Candidate, b: Candidate): boolean =>
  a.spans.size === b.spans.size && [...a.spans].every(([span, sign]) => b.spans.get(span) === sign);

/**
 * Everything that may be written wrongly on the ways of some groups: each span, the loops of each closure, its
 * distance.
 * @param groups ways, with the key of each of their spans
 */
export function candidatesOf(groups: readonly KeyedWay[]): Candidate[] {
  const list: Candidate[] = [];
  const known = new Set<string>();
  const coils = groups.flatMap(({ route }) =>
    route.spans.flatMap((span, index) =>
      ([0, 1] as const).flatMap((side) =>
        route.points[index + side]!.closureId === null ? [] : [span.coils[side]],
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
        correctionOf: (meters, sigma, unit) =>
          spanSaid(spans[index]!, points[index]!, points[index + 1]!, meters, sigma, usual, unit),
      });
    });
    points.forEach((point, index) => {
      if (point.closureId === null || known.has(point.closureId)) return;
      known.add(point.closureId);
      const [before, after] = [keys[index - 1]!, keys[index]!];
      list.push({
        spans: new Map([
          [before, 1],
          [after, 1],
        ]),
        correctionOf: (meters, sigma, unit) => ({
          kind: 'coil',
          closureId: point.closureId,
          cableId: null,
          meters,
          sigma,
          words: `The loops at ${point.name} are ${sizeWords(meters, sigma, unit)} than written, on both cables: ${loopWords(spans[index - 1]!.coils[1], meters, unit)}.`,
        }),
      });
      if (spans[index - 1]!.marked || spans[index]!.marked) return;
      list.push({
        spans: new Map([
          [before, 1],
          [after, -1],
        ]),
        correctionOf: (meters, sigma, unit) => ({
          kind: 'place',
          closureId: point.closureId,
          cableId: null,
          meters,
          sigma,
          words: `${point.name} lies ${formatWithError(Math.abs(meters), sigma, unit)} ${meters > 0 ? 'farther along' : 'nearer'} than its distance says: what is missing before it is there behind it.`,
        }),
      });
    });
  }
  return list;
}

/** One cable between two points: its two coils or its marks. A coil that would come out as usual is the likely one. */
function spanSaid(
  span: RouteSpan,
  from: RoutePoint,
  to: RoutePoint,
  meters: number,
  sigma: number,
  usual: number,
  unit: DistanceUnit,
): Correction {
  const head = `Cable ${span.cable} from ${from.name} to ${to.name} is ${sizeWords(meters, sigma, unit)} than written.`;
  const sides = ([from, to] as const)
    .map((point, side) => ({ point, coil: span.coils[side]! }))
    .filter(({ point, coil }) => point.closureId !== null && coil + meters > -3)
    .map((side) => ({ ...side, off: Math.abs(side.coil + meters - usual) }))
    .sort((a, b) => a.off - b.off);
  const [likely, other] = sides;
  const clear = likely !== undefined && likely.off < 8 && (!other || other.off > likely.off + 8);
  const which = span.marked
    ? 'Read its sheath marks again.'
    : clear
      ? `Most likely the loop at ${likely.point.name}: ${loopWords(likely.coil, meters, unit)}, as at the other closures.`
      : sides.length > 0
        ? `Measure its loop at ${sides.map(({ point }) => point.name).join(' and at ')}.`
        : 'Measure it again.';
  return {
    kind: 'span',
    closureId: clear && !span.marked ? likely.point.closureId : null,
    cableId: span.cableId,
    meters,
    sigma,
    words: `${head} ${which}`,
  };
}

const sizeWords = (meters: number, sigma: number, unit: DistanceUnit): string =>
  `${formatWithError(Math.abs(meters), Math.max(1, sigma), unit)} ${meters > 0 ? 'longer' : 'shorter'}`;

const loopWords = (written: number, meters: number, unit: DistanceUnit): string =>
  `written ${formatMeters(written, unit)}, the traces say ${formatMeters(Math.max(0, written + meters), unit)}`;
