import type { CircuitBudget, LinkEntry } from '@cordel/core';
import { fiberCount } from '@cordel/core';
import { isFused } from '@cordel/core/otdr';
import type { Db } from '../db/client.ts';
import { notFound } from '../http/problem.ts';
import { budgetRows } from '../traces/budget.ts';
import { loadPlant } from '../traces/plant.ts';
import { linksOf } from './queries.ts';

/** A circuit that a cable's fiber belongs to, as its link is measured. */
export interface LinkCircuit {
  key: string;
  /** The fiber of the cable that was asked for. */
  fiber: number;
  label: string;
  /** The places of its ports, where it begins first. */
  from: string;
  to: string;
  /** Whether light can reach its end: all splices on its way are made. Fibers of a cable that none of is spliced are. */
  isThrough: boolean;
  /** Every fiber on its way: an entry may name any of them. */
  fibers: { cableId: string; fiber: number }[];
  /** None where its length is not known, or nothing is spliced to it. */
  budgets: CircuitBudget[];
}

/** The links that run through a cable: its circuits, and what was measured of them. Throws a 404 problem where there is no such cable. */
export async function cableLinks(
  db: Db,
  projectId: string,
  cableId: string,
): Promise<{ circuits: LinkCircuit[]; entries: LinkEntry[] }> {
  const plant = await loadPlant(db, projectId);
  const cable = plant.setting.cables.get(cableId);
  if (!cable) throw notFound('cable');
  const budgets = new Map(
    (await budgetRows(db, projectId)).map((row) => [row.circuit, row.budgets]),
  );
  const isSpliced = plant.splices.some(
    ({ cableA, cableB }) => cableA === cableId || cableB === cableId,
  );
  const circuits = Array.from({ length: fiberCount(cable.makeUp) }, (_, index): LinkCircuit => {
    const route = plant.circuitOf(cableId, index + 1);
    const { key, label, points, spans } = route;
    // The outer ends of its cables are two of its points.
    const isPlanned = points.some(({ closureId }) => closureId !== null);
    return {
      key,
      fiber: index + 1,
      label,
      from: points[0]!.name,
      to: points.at(-1)!.name,
      isThrough: isFused(route) && (isPlanned || !isSpliced),
      fibers: spans.map(({ cableId: own, fiber }) => ({ cableId: own, fiber })),
      budgets: budgets.get(key) ?? [],
    };
  });
  const own = new Set(
    circuits.flatMap(({ fibers }) => fibers.map(({ cableId: on, fiber }) => `${on} ${fiber}`)),
  );
  const entries = (await linksOf(db, projectId)).filter(
    (entry) => entry.kind === 'reference' || own.has(`${entry.cableId} ${entry.fiber}`),
  );
  return { circuits, entries };
}
