import { sql } from 'drizzle-orm';
import { type CircuitStep, Network, type NetworkSplice, fiberCount } from '@cordel/core';
import { type CircuitRoute, type RouteSetting, routeOf } from '@cordel/core/otdr';
import { type Db, rowsOf } from '../db/client.ts';
import { notFound } from '../http/problem.ts';
import { networkSplices } from '../plans/circuits.ts';
import { assembliesOf } from '../prep/queries.ts';
import { getCables, getClosures } from '../projects/queries.ts';

/** A splice as its circuit passes it. */
export interface PlantSplice extends NetworkSplice {
  id: string;
  tray: number;
  slot: number;
  /** How often it was fused, as far as it was judged. */
  tries: number;
}

/** When a fiber was removed from the splice that it lay in, milliseconds since 1970. */
export interface FiberCut {
  closureId: string;
  cableId: string;
  fiber: number;
  at: number;
}

/** A project's cables and splices as light goes through them. */
export class Plant {
  readonly splices: readonly PlantSplice[];
  readonly setting: RouteSetting;
  readonly network: Network;
  private readonly routes = new Map<string, CircuitRoute>();
  private readonly routesThrough = new Map<number, CircuitRoute>();
  private readonly cuts = new Map<string, FiberCut>();

  constructor(list: readonly PlantSplice[], setting: RouteSetting, cuts: readonly FiberCut[] = []) {
    this.splices = list;
    this.setting = setting;
    for (const cut of cuts) {
      const key = `${cut.cableId} ${cut.fiber}`;
      const known = this.cuts.get(key);
      if (!known || known.at < cut.at) this.cuts.set(key, cut);
    }
    this.network = new Network([...setting.cables.values()], list);
  }

  hasFiber(cableId: string, fiber: number): boolean {
    const cable = this.setting.cables.get(cableId);
    return cable !== undefined && fiber <= fiberCount(cable.makeUp);
  }

  /**
   * The circuit that a fiber belongs to, wherever on its way the fiber is counted.
   * @param through a splice of the circuit, by its index: a fiber that is cut on its way belongs to one on each side
   * @throws Problem 404 where there is no such fiber
   */
  circuitOf(cableId: string, fiber: number, through?: number): CircuitRoute {
    const key = `${cableId} ${fiber}`;
    const known = through === undefined ? this.routes.get(key) : this.routesThrough.get(through);
    if (known) return known;
    let steps;
    try {
      steps = this.network.follow(cableId, fiber, through).steps;
    } catch (error) {
      if (error instanceof RangeError) throw notFound('fiber');
      throw error;
    }
    const first = steps.find(({ splice }) => splice !== null)?.splice ?? null;
    const route =
      (first === null ? undefined : this.routesThrough.get(first)) ?? this.routeBy(steps, first);
    for (const { splice } of steps) if (splice !== null) this.routesThrough.set(splice, route);
    if (through !== undefined) return route;
    this.routes.set(key, route);
    // A fiber that is cut belongs to other circuits too: which one it stands for, it says itself.
    for (const { cableId: cable, fiber: own } of route.spans)
      if (!this.network.isCut(cable, own)) this.routes.set(`${cable} ${own}`, route);
    return route;
  }

  private routeBy(steps: readonly CircuitStep[], first: number | null): CircuitRoute {
    const route = routeOf(
      steps.map(({ cable, fiber, splice }) => ({
        cableId: cable,
        fiber,
        splice: splice === null ? null : legSplice(this.splices[splice]!),
      })),
      this.setting,
    );
    const { cableId, fiber } = route.spans[0]!;
    if (first === null || !this.network.isCut(cableId, fiber)) return route;
    const plain = this.network.follow(cableId, fiber).steps;
    if (plain.some(({ splice }) => splice === first)) return route;
    // Two circuits may begin at pieces of one fiber: the key of the one behind names its first splice as well.
    return { ...route, key: `${route.key} ${this.splices[first]!.id}` };
  }

  /** Every circuit with a splice on its way, once each. */
  circuits(): CircuitRoute[] {
    return [
      ...new Set(
        this.splices.map(({ cableA, fiberA }, index) => this.circuitOf(cableA, fiberA, index)),
      ),
    ];
  }

  /** The last cut of a fiber on a circuit's way: what was shot before it saw another way. */
  lastCut(route: CircuitRoute): FiberCut | null {
    return route.spans.reduce<FiberCut | null>((last, { cableId, fiber }) => {
      const cut = this.cuts.get(`${cableId} ${fiber}`);
      return cut && (!last || cut.at > last.at) ? cut : last;
    }, null);
  }

  /** Whether a circuit passes a splice from its side A to its side B. */
  isForward(route: CircuitRoute, point: number): boolean {
    const { cableId, fiber } = route.spans[point - 1]!;
    const splice = this.spliceNamed(route.points[point]!.spliceId!);
    return splice.cableA === cableId && splice.fiberA === fiber;
  }

  private readonly byId = new Map<string, PlantSplice>();

  spliceNamed(id: string): PlantSplice {
    if (this.byId.size === 0) for (const splice of this.splices) this.byId.set(splice.id, splice);
    return this.byId.get(id)!;
  }
}

/** The places at both ends of the circuit of each fiber of a cable. Throws a 404 problem where there is no such cable. */
export function circuitEnds(plant: Plant, cableId: string) {
  const cable = plant.setting.cables.get(cableId);
  if (!cable) throw notFound('cable');
  return Array.from({ length: fiberCount(cable.makeUp) }, (_, index) => {
    const { points } = plant.circuitOf(cableId, index + 1);
    return { fiber: index + 1, from: points[0]!.name, to: points.at(-1)!.name };
  });
}

const legSplice = ({ id, closure, tray, tries }: PlantSplice) => ({
  id,
  closureId: closure,
  tray,
  isFused: tries > 0,
});

export async function loadPlant(db: Db, projectId: string): Promise<Plant> {
  const rows = await networkSplices(db, projectId);
  const byId = <Row extends { id: string }>(list: readonly Row[]) =>
    new Map(list.map((row) => [row.id, row]));
  const setting = {
    cables: byId(await getCables(db, projectId)),
    closures: byId(await getClosures(db, projectId)),
    assemblies: new Map(
      (await assembliesOf(db, projectId)).map((assembly) => [assembly.closureId, assembly]),
    ),
  };
  return new Plant(rows, setting, await fiberCuts(db, projectId));
}

async function fiberCuts(db: Db, projectId: string): Promise<FiberCut[]> {
  return rowsOf<FiberCut>(
    db,
    sql`select s.closure_id as "closureId", side.cable as "cableId", side.fiber,
               (extract(epoch from min(r.at)) * 1000)::float8 as at
        from splices s join rulings r on r.splice_id = s.id and r.kind = 'retire',
             lateral (values (s.cable_a, s.fiber_a), (s.cable_b, s.fiber_b)) side(cable, fiber)
        where s.project_id = ${projectId} and not s.live
        group by s.id, side.cable, side.fiber`,
  );
}
