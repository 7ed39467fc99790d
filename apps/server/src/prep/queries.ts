import { and, asc, eq, getTableColumns } from 'drizzle-orm';
import {
  type Assembly,
  type AssemblyChange,
  BUILT_IN_HARDWARE,
  type Closure,
  type Hardware,
  changeAssembly,
  emptyAssembly,
  legsOf,
  missingBefore,
  openedClosure,
  portOfLeg,
} from '@cordel/core';
import { prepProblems as say } from '@cordel/text/server/prep';
import type { Sentence } from '@cordel/text/problems';
import { getClosure } from '../closures/queries.ts';
import type { Db } from '../db/client.ts';
import { assemblies, closures, hardware, splices } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';
import { getCables, getProject } from '../projects/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { spliceColumns } from '../splices/columns.ts';

/** Hardware profiles: those that ship and the users' own. */
export async function allHardware(db: Db): Promise<Hardware[]> {
  const own = await db.select().from(hardware).orderBy(asc(hardware.id));
  return [...BUILT_IN_HARDWARE, ...own.map((row) => row.record)];
}

/** Users' own profiles that a project's closures use. */
export async function ownHardware(db: Db, projectId: string): Promise<Hardware[]> {
  const used = new Set((await assembliesOf(db, projectId)).map((entry) => entry.hardwareId));
  const own = await db.select().from(hardware).orderBy(asc(hardware.id));
  return own.map((row) => row.record).filter((record) => used.has(record.id));
}

/**
 * Adds a profile or changes one of the users' own.
 * @param known what becomes of one that is here already: `keep` leaves it for those who work by it
 */
export async function putHardware(
  db: Db,
  record: Hardware,
  known: 'change' | 'keep' = 'change',
): Promise<void> {
  if (BUILT_IN_HARDWARE.some((built) => built.id === record.id))
    throw new Problem(409, say('builtIn', { name: record.name }));
  const insert = db.insert(hardware).values({ id: record.id, record });
  await (known === 'keep'
    ? insert.onConflictDoNothing()
    : insert.onConflictDoUpdate({ target: hardware.id, set: { record } }));
}

/** What meets in a project's closures, where it is described, in route order. */
export async function assembliesOf(db: Db, projectId: string): Promise<Assembly[]> {
  return db
    .select(getTableColumns(assemblies))
    .from(assemblies)
    .innerJoin(closures, eq(closures.id, assemblies.closureId))
    .where(eq(closures.projectId, projectId))
    .orderBy(asc(closures.ordinal), asc(closures.id));
}

export async function putAssemblies(db: Db, list: readonly Assembly[]): Promise<void> {
  for (const assembly of list) {
    const { closureId: _id, ...set } = assembly;
    await db
      .insert(assemblies)
      .values(assembly)
      .onConflictDoUpdate({ target: assemblies.closureId, set });
  }
}

/**
 * Changes what meets in a closure. The row is locked meanwhile, so that changes of two people follow
 * each other and none is lost.
 * @throws Problem 422 where it names hardware, a port or a cable that is not there, or fills a port over
 */
export async function describeClosure(
  db: Db,
  closureId: string,
  change: AssemblyChange,
): Promise<void> {
  const closure = await getClosure(db, closureId);
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await tx.insert(assemblies).values(emptyAssembly(closureId)).onConflictDoNothing();
    const [before] = await tx
      .select()
      .from(assemblies)
      .where(eq(assemblies.closureId, closureId))
      .for('update');
    const after = changeAssembly(before!, change);
    await checkAssembly(on, closure, after);
    if (change.kind === 'tick' && change.done && change.override === null)
      await checkOrder(on, closure, before!, change);
    await putAssemblies(on, [after]);
  });
}

/** Refuses a step before those that protect a person or a live fiber, where no reason is given. */
async function checkOrder(
  db: Db,
  closure: Closure,
  assembly: Assembly,
  { entryId, step }: { entryId: string; step: string },
): Promise<void> {
  const { practice } = await getProject(db, closure.projectId);
  const cables = new Map((await getCables(db, closure.projectId)).map((one) => [one.id, one]));
  const own = await db
    .select(spliceColumns)
    .from(splices)
    .where(and(eq(splices.closureId, closure.id), eq(splices.live, true)));
  const setting = {
    hardware: await allHardware(db),
    cable: (id: string) => cables.get(id),
    schemes: [...(await allSchemes(db)).values()],
    practice,
  };
  const opened = openedClosure(assembly, setting, own).entries.find(
    ({ entry }) => entry.id === entryId,
  );
  if (!opened) return;
  const ticked = new Set(opened.entry.done.map((tick) => tick.step));
  const steps = missingBefore(opened.steps, ticked, step).length;
  if (steps > 0) throw problemAt(422, '/step', say('heldBack', { steps }));
}

async function checkAssembly(db: Db, closure: Closure, assembly: Assembly): Promise<void> {
  const refuse = (place: string, detail: Sentence): never => {
    throw problemAt(422, place, detail);
  };
  const profile = (await allHardware(db)).find((entry) => entry.id === assembly.hardwareId);
  if (assembly.hardwareId !== null && !profile) refuse('/hardwareId', say('hardwareUnknown'));
  const cables = new Set((await getCables(db, closure.projectId)).map((cable) => cable.id));
  const legs = assembly.entries.flatMap((entry) =>
    legsOf(entry).map((leg) => ({ entry, chosen: portOfLeg(entry, leg) })),
  );
  for (const entry of assembly.entries)
    if (!cables.has(entry.cableId)) refuse('/entry/cableId', say('cableUnknown'));
  for (const { entry, chosen } of legs) {
    const port = profile?.ports.find(({ name }) => name === chosen);
    if (!port) continue;
    const sharing = legs.filter((other) => other.chosen === chosen);
    const place = entry.port === chosen ? '/part/port' : '/part/portOut';
    const own = sharing.filter((other) => other.entry.id === entry.id).length;
    if (own > port.holes) refuse('/part/portOut', say('legsInOneHole', { name: port.name }));
    if (sharing.length > port.holes)
      refuse(
        place,
        say('portFull', { name: port.name, holes: port.holes, cables: sharing.length }),
      );
  }
}
