import { and, eq, sql } from 'drizzle-orm';
import {
  type Circuit,
  type FiberAssignment,
  Network,
  type NetworkProblem,
  type Splitter,
  expandPlan,
  fibersOf,
  findNetworkProblems,
  parsePlan,
} from '@cordel/core';
import type { Db } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { getPlans, listCables } from './queries.ts';

/** One fiber on its way, and the splice that leads on from it. */
interface CircuitLeg {
  cableId: string;
  fiber: number;
  splice: { id: string; closureId: string; tray: number; slot: number } | null;
  /** Sheath length between the splices at its two ends, in tenths of a millimeter; null at an end. */
  length: number | null;
}

/** The splitter at an end of a circuit, with the fibers that its outputs go to. */
interface CircuitSplitter {
  cableId: string;
  /** The output by which this circuit leaves it; null where it feeds it. */
  output: number | null;
  /** What feeds it: the cable's fiber that a page follows; null where nothing does. */
  feed: { cableId: string; fiber: number } | null;
  outputs: { output: number; cableId: string; fiber: number }[];
}

/** One circuit: its fibers from end to end, and the splitters at its ends. */
export interface FollowedCircuit {
  circle: boolean;
  legs: CircuitLeg[];
  splitters: CircuitSplitter[];
}

/**
 * A fiber followed from any place to both ends; a splitter is an end, and told with what it feeds and is fed by. A fiber
 * that is cut on the way of its cable has a circuit for each piece.
 * @throws Problem 404 where the project has no such fiber
 */
export async function followFiber(
  db: Db,
  projectId: string,
  cableId: string,
  fiber: number,
): Promise<FollowedCircuit[]> {
  const { network, rows } = await networkOf(db, projectId);
  const distances = new Map(
    (await getClosures(db, projectId)).map((closure) => [closure.id, closure.distance]),
  );
  const followed = (circuit: Circuit): FollowedCircuit => {
    const { circle, steps } = circuit;
    const at = (index: number) => {
      const splice = steps[index]?.splice;
      return splice == null ? null : (distances.get(rows[splice]!.closure) ?? null);
    };
    const legs = steps.map((step, index): CircuitLeg => {
      const [before, after] = [index === 0 ? null : at(index - 1), at(index)];
      const row = step.splice === null ? null : rows[step.splice]!;
      return {
        cableId: step.cable,
        fiber: step.fiber,
        splice: row && { id: row.id, closureId: row.closure, tray: row.tray, slot: row.slot },
        length: before === null || after === null ? null : Math.abs(after - before),
      };
    });
    return { circle, legs, splitters: splittersOf(network, circuit) };
  };
  try {
    return network.followAll(cableId, fiber).map(followed);
  } catch (error) {
    if (error instanceof RangeError) throw notFound('fiber');
    throw error;
  }
}

/** The splitters at both ends of a circuit. */
function splittersOf(network: Network, circuit: Circuit): CircuitSplitter[] {
  const feed = network.feedOf(circuit);
  const fed = network.fedBy(circuit);
  return [
    ...(feed ? [{ id: feed.cable, output: feed.output }] : []),
    ...(fed ? [{ id: fed, output: null }] : []),
  ].map(({ id, output }) => {
    const { outputs } = network.cables.find((cable) => cable.id === id)!.makeUp as Splitter;
    const farOf = (fiber: number) => {
      const { steps } = network.follow(id, fiber);
      const far = steps[0]!.cable === id && steps[0]!.fiber === fiber ? steps.at(-1)! : steps[0]!;
      return steps.length > 1 ? { cableId: far.cable, fiber: far.fiber } : null;
    };
    return {
      cableId: id,
      output,
      feed: farOf(outputs + 1),
      outputs: Array.from({ length: outputs }, (_, index) => index + 1).flatMap((number) => {
        const far = farOf(number);
        return far ? [{ output: number, ...far }] : [];
      }),
    };
  });
}

/** What looks wrong in a project’s circuits; fibers that a plan calls through, dead or reserved are right. */
export async function circuitProblems(
  db: Db,
  projectId: string,
): Promise<(Omit<NetworkProblem, 'splice'> & { spliceId: string | null })[]> {
  const { network, rows } = await networkOf(db, projectId);
  const cables = await listCables(db, projectId);
  const known = new Set<string>();
  const turned = new Set<string>();
  for (const plan of await getPlans(db, projectId)) {
    const parsed = parsePlan(plan.text, [...cables.values()]);
    const mark = (set: Set<string>, { cable, runs }: Pick<FiberAssignment, 'cable' | 'runs'>) => {
      for (const fiber of fibersOf(runs))
        set.add(`${plan.closureId} ${cables.get(cable)!.id} ${fiber}`);
    };
    for (const fate of expandPlan(parsed, [...cables.values()]).fates) mark(known, fate);
    for (const { a, b, reversed } of parsed.lines)
      // The splice may name either cable first.
      if (reversed && b) for (const side of [a, b]) mark(turned, side);
  }
  return findNetworkProblems(
    network,
    (closure, cable, fiber) => known.has(`${closure} ${cable} ${fiber}`),
    (closure, cable, fiber) => turned.has(`${closure} ${cable} ${fiber}`),
  ).map(({ splice, ...problem }) => ({ ...problem, spliceId: rows[splice]?.id ?? null }));
}

/** The splices of a project that live, as a network takes them, in the order of their trays. */
export const networkSplices = (db: Db, projectId: string) =>
  db
    .select({
      id: splices.id,
      closure: splices.closureId,
      cableA: splices.cableA,
      fiberA: splices.fiberA,
      legA: splices.legA,
      cableB: splices.cableB,
      fiberB: splices.fiberB,
      legB: splices.legB,
      order: sql<number>`(dense_rank() over (order by ${closures.distance} nulls last, ${closures.ordinal}, ${closures.name}))::int`,
      method: splices.method,
      tray: splices.tray,
      slot: splices.slot,
      tries: splices.tries,
    })
    .from(splices)
    .innerJoin(closures, eq(closures.id, splices.closureId))
    .where(and(eq(splices.projectId, projectId), eq(splices.live, true)))
    .orderBy(splices.closureId, splices.tray, splices.slot, splices.fiberA);

async function networkOf(db: Db, projectId: string) {
  await getProject(db, projectId);
  const rows = await networkSplices(db, projectId);
  return { rows, network: new Network(await getCables(db, projectId), rows) };
}
