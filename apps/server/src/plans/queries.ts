import { and, asc, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import {
  type PlanMessage,
  type Closure,
  type Leg,
  type ListCable,
  type Placed,
  type Plan,
  type Present,
  type Ruling,
  type Splice,
  collapseJoints,
  expandPlan,
  parsePlan,
  printLine,
  renameInPlan,
  spliceStateOf,
  evaluatePlan,
} from '@cordel/core';
import { obstacleText, planMessageText } from '@cordel/text/plan';
import { getClosure } from '../closures/queries.ts';
import { spliceColumns } from '../splices/columns.ts';
import { type Db, rowsOf } from '../db/client.ts';
import { cables, closures, plans, splices } from '../db/schema.ts';
import { bySplice, evidenceOf, idArray, record } from '../evidence/queries.ts';
import { Problem, atPlace, sentence, withPlace } from '../http/problem.ts';
import { mergeLines } from '../merge/lines.ts';
import { conflictProblem, mergeRecords } from '../merge/records.ts';
import { getCables, getProject, lockProject } from '../projects/queries.ts';
import { allSchemes, schemeNamed } from '../schemes/queries.ts';
import { derivedId } from '../splices/derivedId.ts';
import { droppedIds, saveDropped, recordDeferred } from './dropped.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';
import { insertSplices } from '../splices/insert.ts';

const told = (message: PlanMessage) => sentence(planMessageText(message), message);

/**
 * A plan to be applied: `changeId`, made by the client, names the write. `retire` is a person's word that
 * splices which have evidence are removed where the plan no longer has them.
 */
export type PlanWrite = Plan & {
  changeId: string;
  anew: boolean;
  /** The plan as whoever changes it had read it. */
  base?: Pick<Plan, 'text' | 'pins' | 'spare'> | undefined;
  retire: Pick<Ruling, 'by' | 'at' | 'why'> | null;
};

/** How many splices a plan added, moved, dropped and retired, and the plan as it stands then. */
export interface PlanResult {
  plan: Plan;
  added: number;
  moved: number;
  dropped: number;
  retired: number;
}

/** The plans of a project's closures, in route order. */
export async function getPlans(db: Db, projectId: string): Promise<Plan[]> {
  return db
    .select(getTableColumns(plans))
    .from(plans)
    .innerJoin(closures, eq(closures.id, plans.closureId))
    .where(eq(closures.projectId, projectId))
    .orderBy(asc(closures.ordinal), asc(closures.id));
}

/** The plan of a closure; where none was written, the lines that say the splices it has. */
export async function getPlan(db: Db, closureId: string): Promise<Plan & { worked: string[] }> {
  const closure = await getClosure(db, closureId);
  const [plan] = await db.select().from(plans).where(eq(plans.closureId, closureId));
  const cables = await listCables(db, closure.projectId);
  const there = await splicesThere(db, closure, cables);
  const worked = there.filter((splice) => splice.worked).map((splice) => splice.id);
  if (plan) return { ...plan, worked };
  const text = textOfSplices(there, [...cables.values()]);
  return { closureId, text, pins: [], spare: 0, worked };
}

/** The lines of a plan that say splices, whose cables are called by name. */
export const textOfSplices = (there: readonly Placed[], list: readonly ListCable[]): string =>
  collapseJoints(there, list)
    .map((line) => printLine(line, list))
    .join('\n');

/** Calls a cable by another name in the plans of its project, in their lines and in what is pinned to trays. */
export async function renameInPlans(
  db: Db,
  { projectId, name }: { projectId: string; name: string },
  to: string,
): Promise<void> {
  const list = [...(await listCables(db, projectId)).values()];
  for (const plan of await getPlans(db, projectId)) {
    const text = renameInPlan(plan.text, list, name, to);
    const pins = plan.pins.map((pin) => (pin.cable === name ? { ...pin, cable: to } : pin));
    await db.update(plans).set({ text, pins }).where(eq(plans.closureId, plan.closureId));
  }
}

/** In how many plans of its project a cable is named. */
export async function plansNaming(db: Db, cableId: string): Promise<number> {
  const [cable] = await db.select().from(cables).where(eq(cables.id, cableId));
  if (!cable) return 0;
  const list = [...(await listCables(db, cable.projectId)).values()];
  const names = ({ text, pins }: Plan) =>
    pins.some((pin) => pin.cable === cable.name) ||
    parsePlan(text, list).lines.some(({ a, b }) => [a, b].some((end) => end?.cable === cable.name));
  return (await getPlans(db, cable.projectId)).filter(names).length;
}

/**
 * Puts splices that came in otherwise into the plan of their closure, where one is written: as lines of their
 * own, so that the plan goes on saying what is there.
 */
export async function addToPlan(db: Db, closureId: string): Promise<void> {
  const [plan] = await db.select().from(plans).where(eq(plans.closureId, closureId));
  if (!plan) return;
  const closure = await getClosure(db, closureId);
  const cables = await listCables(db, closure.projectId);
  const list = [...cables.values()];
  const key = (one: Omit<Placed, 'tray' | 'slot' | 'method'>) =>
    splicedEnds(one.cableA, one, one.cableB);
  const { joints } = expandPlan(parsePlan(plan.text, list), list);
  const planned = new Set(joints.map(key));
  const there = await splicesThere(db, closure, cables);
  const lines = collapseJoints(
    there.filter((splice) => !planned.has(key(splice))),
    list,
  );
  if (lines.length === 0) return;
  const text = [plan.text.trimEnd(), ...lines.map((line) => printLine(line, list))].join('\n');
  await db.update(plans).set({ text: text.trimStart() }).where(eq(plans.closureId, closureId));
}

/**
 * Applies a plan: all of it, or nothing with each error at its line. Splices with evidence stay, or are
 * retired where the write says so.
 * @param by who changes it, where that is known
 * @throws Problem 422 for errors in the lines, 409 where it would drop or move what is made
 */
export async function putPlan(
  db: Db,
  asked: PlanWrite,
  by: string | null = null,
): Promise<PlanResult> {
  const closure = await getClosure(db, asked.closureId);
  const project = await getProject(db, closure.projectId);
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await lockProject(on, closure.projectId);
    const write = { ...asked, ...(await mergedPlan(on, asked)) };
    const cables = await listCables(on, closure.projectId, closure.id);
    const there = await splicesThere(on, closure, cables);
    const { errors, obstacles, change } = evaluatePlan({
      ...write,
      retire: write.retire !== null,
      cables: [...cables.values()],
      trays: closure.trays,
      there,
    });
    if (errors.length > 0)
      throw new Problem(
        422,
        withPlace(`Line ${errors[0]!.line + 1}`, told(errors[0]!.message)),
        errors.map(({ line, from, message }) =>
          atPlace(`line ${line + 1}, column ${from + 1}`, told(message)),
        ),
      );
    if (obstacles.length > 0)
      throw new Problem(
        409,
        sentence(obstacleText(obstacles[0]!), obstacles[0]!),
        obstacles.map((obstacle) => atPlace('/text', sentence(obstacleText(obstacle), obstacle))),
      );
    const dropped = change.dropped.map(({ id }) => id);
    if (dropped.length > 0) {
      await rowsOf(
        on,
        sql`delete from stale_splices where splice_id = any(${idArray(dropped)}::uuid[])`,
      );
      const gone = await tx
        .delete(splices)
        .where(inArray(splices.id, dropped))
        .returning(spliceColumns);
      await saveDropped(on, gone, by);
    }
    if (change.retired.length > 0 && write.retire)
      await retireAll(on, change.retired, write.changeId, write.retire);
    await move(on, change.moved);
    // What was dropped before is the same splice: somebody without a connection knows it by its id.
    const before = await droppedIds(on, closure.id, (splice) =>
      splicedEnds(splice.cableA, splice, splice.cableB),
    );
    const added = change.added.map((joint): Splice => {
      const [a, b] = [cables.get(joint.cableA)!.id, cables.get(joint.cableB)!.id];
      const ends = splicedEnds(a, joint, b);
      return {
        id: before.get(ends) ?? derivedId(write.changeId, ends),
        projectId: closure.projectId,
        closureId: closure.id,
        tray: joint.tray,
        slot: joint.slot,
        cableA: a,
        fiberA: joint.fiberA,
        legA: joint.legA,
        cableB: b,
        fiberB: joint.fiberB,
        legB: joint.legB,
        method: joint.method,
        end: joint.end,
        extra: {},
      };
    });
    await insertSplices(on, added, project.limits.wavelengths);
    await recordDeferred(
      on,
      added.map(({ id }) => id),
    );
    const { closureId, text, pins, spare } = write;
    await tx
      .insert(plans)
      .values({ closureId, text, pins, spare })
      .onConflictDoUpdate({ target: plans.closureId, set: { text, pins, spare } });
    if (added.length + dropped.length > 0) await renewCircuitOrigins(on, closure.projectId);
    return {
      plan: { closureId, text, pins, spare },
      added: added.length,
      moved: change.moved.length,
      dropped: dropped.length,
      retired: change.retired.length,
    };
  });
}

/** Names the two ends that a splice joins; a leg is told only where there is one. */
const splicedEnds = (
  a: string,
  { fiberA, legA, fiberB, legB }: Pick<Placed, 'fiberA' | 'legA' | 'fiberB' | 'legB'>,
  b: string,
): string => {
  const end = (cable: string, fiber: number, leg: Leg | null) =>
    leg ? `${cable} ${fiber} ${leg}` : `${cable} ${fiber}`;
  return `${end(a, fiberA, legA)} ${end(b, fiberB, legB)}`;
};

/**
 * A plan with what others have changed of it since it was read.
 * @throws Problem 412 with both versions where both changed the same line
 */
async function mergedPlan(
  db: Db,
  { closureId, base, text, pins, spare }: PlanWrite,
): Promise<Pick<Plan, 'text' | 'pins' | 'spare'>> {
  const mine = { text, pins, spare };
  if (!base) return mine;
  const current = await getPlan(db, closureId);
  const lines = mergeLines(base.text, current.text, text);
  const rest = mergeRecords(
    { pins: base.pins, spare: base.spare },
    { pins: current.pins, spare: current.spare },
    { pins, spare },
  );
  const conflicts = [...lines.conflicts, ...rest.conflicts];
  if (conflicts.length > 0) throw conflictProblem(conflicts);
  return { text: lines.merged, ...rest.merged };
}

/** Records the word that splices are removed, against the try that lay there. */
async function retireAll(
  db: Db,
  list: readonly { id: string }[],
  changeId: string,
  word: Pick<Ruling, 'by' | 'at' | 'why'>,
): Promise<void> {
  const ids = idArray(list.map(({ id }) => id));
  const evidence = bySplice(await evidenceOf(db, sql`${splices.id} = any(${ids}::uuid[])`));
  await record(
    db,
    list.map(({ id }): Ruling => ({
      type: 'ruling',
      id: derivedId(changeId, `retire ${id}`),
      spliceId: id,
      tryId: spliceStateOf(evidence.get(id) ?? []).tries.at(-1)?.tryId ?? null,
      kind: 'retire',
      ...word,
    })),
  );
}

async function move(db: Db, moved: readonly { from: { id: string }; to: Placed }[]): Promise<void> {
  if (moved.length === 0) return;
  const places = moved.map(({ from, to }) => ({
    id: from.id,
    tray: to.tray,
    slot: to.slot,
    method: to.method,
    end: to.end,
  }));
  await rowsOf(
    db,
    sql`update splices s set tray = p.tray, slot = p.slot, method = p.method, end_way = p."end"
        from jsonb_to_recordset(${JSON.stringify(places)}::jsonb) as p(id uuid, tray int, slot int, method text, "end" text)
        where s.id = p.id`,
  );
}

/**
 * The cables of a project by name, as plans count them.
 * @param at the closure whose devices they may name; those of all where left out
 */
export async function listCables(
  db: Db,
  projectId: string,
  at?: string,
): Promise<Map<string, ListCable & { id: string }>> {
  const schemes = await allSchemes(db);
  const all = await getCables(db, projectId);
  const cables = all.filter(
    ({ closureId }) => at === undefined || closureId === null || closureId === at,
  );
  return new Map(
    cables.map(({ id, name, makeUp, schemeId }) => [
      name,
      { id, name, makeUp, scheme: schemeNamed(schemes, schemeId, '/cables') },
    ]),
  );
}

/** The closure's splices in tray order, cables by name, and whether anything is recorded of each. */
async function splicesThere(
  db: Db,
  closure: Closure,
  cables: ReadonlyMap<string, { id: string; name: string }>,
): Promise<Present[]> {
  const names = new Map([...cables.values()].map(({ id, name }) => [id, name]));
  const rows = await db
    .select({
      ...spliceColumns,
      worked: sql<boolean>`exists (select from attempts e where e.splice_id = splices.id)
        or exists (select from readings e where e.splice_id = splices.id)
        or exists (select from inspections e where e.splice_id = splices.id)
        or exists (select from rulings e where e.splice_id = splices.id)`,
    })
    .from(splices)
    .where(and(eq(splices.closureId, closure.id), eq(splices.live, true)))
    .orderBy(asc(splices.tray), asc(splices.slot), asc(splices.fiberA));
  return rows.map((row) => ({
    ...row,
    cableA: names.get(row.cableA)!,
    cableB: names.get(row.cableB)!,
  }));
}
