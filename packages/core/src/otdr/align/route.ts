import type { Assembly } from '../../record/hardware.ts';
import { type Cable, isDevice } from '../../record/cable.ts';
import type { Closure } from '../../record/closure.ts';

/** A place that a fiber passes: a closure, or the outer end of a cable. */
export interface RoutePoint {
  closureId: string | null;
  name: string;
  /** Tray and slot of the splice; null at an end. */
  tray: number | null;
  spliceId: string | null;
  /** Whether the route goes on here: its splice has been fused, or nothing has to be. */
  isFused: boolean;
}

/** A fiber's route through one cable, from one point to the next. Meters. */
export interface RouteSpan {
  cableId: string;
  cable: string;
  fiber: number;
  /** Sheath from splice to splice, coils included; null while nobody has said. */
  sheathM: number | null;
  /** Whether that is known by sheath marks. */
  marked: boolean;
  /** Cable coiled at the point before and at the point behind. */
  coilsM: [number, number];
  /** Sheath marks at both points, m as the sheath counts them; null where they are not known. */
  marksM: [number | null, number | null];
  /** Meters of fiber in a meter of sheath. */
  helix: number;
}

/** A fiber from end to end: one more point than spans. */
export interface CircuitRoute {
  key: string;
  /** How the circuit is called: the fiber at its first end. */
  label: string;
  points: RoutePoint[];
  spans: RouteSpan[];
}

/** One fiber on its route, and the splice that leads on from it. */
export interface RouteLeg {
  cableId: string;
  fiber: number;
  splice: { id: string; closureId: string; tray: number; isFused: boolean } | null;
}

/** What is written of cables and closures. */
export interface RouteSetting {
  cables: ReadonlyMap<string, Cable>;
  closures: ReadonlyMap<string, Closure>;
  assemblies: ReadonlyMap<string, Assembly>;
}

const TENTHS = 10_000;

/**
 * The route of a circuit with the lengths that are written of it. Sheath between two closures is the
 * difference of its marks where both are known, else the difference of their distances along the route
 * and the coils at both. An outer end lies where its cable says, in the same way.
 */
export function routeOf(legs: readonly RouteLeg[], setting: RouteSetting): CircuitRoute {
  const { cables, closures } = setting;
  const isPort = ({ cableId }: RouteLeg) => cables.get(cableId)!.makeUp.kind === 'ports';
  // A circuit ends in the closure of its port: nothing is read of the end by an OTDR.
  const inFiber = legs.filter((leg) => !isPort(leg));
  const first = inFiber[0]!;
  const spliced = legs.flatMap(({ splice }, index): (RoutePoint & { isEnd: boolean })[] =>
    splice
      ? [
          {
            closureId: splice.closureId,
            name: closures.get(splice.closureId)!.name,
            tray: splice.tray,
            spliceId: splice.id,
            isFused: splice.isFused,
            isEnd: isPort(legs[index]!) || isPort(legs[index + 1]!),
          },
        ]
      : [],
  );
  const points = [
    ...(isPort(legs[0]!) ? [] : [endPoint(cables.get(first.cableId)!)]),
    ...spliced.map(({ isEnd, ...point }): RoutePoint =>
      isEnd ? { ...point, tray: null, spliceId: null } : point,
    ),
    ...(isPort(legs.at(-1)!) ? [] : [endPoint(cables.get(inFiber.at(-1)!.cableId)!)]),
  ];
  const spans = inFiber.map((leg, index) =>
    spanOf(leg, points[index]!, points[index + 1]!, setting),
  );
  return {
    key: `${first.cableId} ${first.fiber}`,
    label: `${cables.get(first.cableId)!.name} ${first.fiber}`,
    points,
    spans,
  };
}

const endPoint = (cable: Cable): RoutePoint => ({
  closureId: null,
  name: isDevice(cable.makeUp)
    ? cable.name
    : (cable.run.end?.name ?? `the outer end of ${cable.name}`),
  tray: null,
  spliceId: null,
  isFused: true,
});

/** A device's pigtail is too short to count. */
const PIGTAIL = {
  sheathM: 0,
  marked: false,
  coilsM: [0, 0] as [number, number],
  marksM: [null, null] as [null, null],
  helix: 1,
};

function spanOf(
  leg: RouteLeg,
  from: RoutePoint,
  to: RoutePoint,
  { cables, closures, assemblies }: RouteSetting,
): RouteSpan {
  const cable = cables.get(leg.cableId)!;
  const { run } = cable;
  if (isDevice(cable.makeUp))
    return { ...PIGTAIL, cableId: cable.id, cable: cable.name, fiber: leg.fiber };
  const at = ({ closureId }: RoutePoint) => {
    if (closureId === null)
      return {
        mark: meters(run.end?.mark),
        distance: meters(run.end?.distance),
        coil: meters(run.end?.coil) ?? 0,
      };
    const entry = assemblies.get(closureId)?.entries.find(({ cableId }) => cableId === cable.id);
    return {
      mark: meters(run.marks.find((known) => known.closureId === closureId)?.mark),
      distance: meters(closures.get(closureId)!.distance),
      coil: meters(entry?.loop) ?? 0,
    };
  };
  const [a, b] = [at(from), at(to)];
  const marked = a.mark !== null && b.mark !== null;
  const along =
    a.distance === null || b.distance === null
      ? null
      : Math.abs(b.distance - a.distance) + a.coil + b.coil;
  return {
    cableId: cable.id,
    cable: cable.name,
    fiber: leg.fiber,
    sheathM: marked ? Math.abs(b.mark! - a.mark!) : along,
    marked,
    coilsM: [a.coil, b.coil],
    marksM: [a.mark, b.mark],
    helix: run.helix / 10_000,
  };
}

const meters = (tenths: number | null | undefined): number | null =>
  tenths == null ? null : tenths / TENTHS;

/** The same route walked from its other end. */
export function reversed(route: CircuitRoute): CircuitRoute {
  return {
    ...route,
    points: [...route.points].reverse(),
    spans: [...route.spans].reverse().map((span) => ({
      ...span,
      coilsM: [span.coilsM[1], span.coilsM[0]],
      marksM: [span.marksM[1], span.marksM[0]],
    })),
  };
}

/** Circuits of one path pass the same cables and closures; their fibers are fitted together. */
export const pathOf = ({ points, spans }: CircuitRoute): string =>
  spans.map(({ cableId }, index) => `${points[index]!.closureId ?? ''}/${cableId}`).join(' ');

/** Whether every splice of a circuit has been fused, so that light can reach its end. */
export const isFused = ({ points }: Pick<CircuitRoute, 'points'>): boolean =>
  points.every((point) => point.isFused);
