import { asc, eq, getTableColumns } from 'drizzle-orm';
import { type Assembly, BUILT_IN_HARDWARE, type Hardware } from '@cordel/core';
import { getClosure } from '../closures/routes.ts';
import type { Db } from '../db/client.ts';
import { assemblies, closures, hardware } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { getCables } from '../projects/queries.ts';

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
    throw new Problem(
      409,
      `${record.name} ships with Cordel and stays as it is: save your own under another name.`,
    );
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
 * Describes what meets in a closure.
 * @throws Problem 422 where it names hardware, a port or a cable that is not there, or a cable twice
 */
export async function describeClosure(db: Db, assembly: Assembly): Promise<void> {
  const closure = await getClosure(db, assembly.closureId);
  const refuse = (place: string, detail: string): never => {
    throw new Problem(422, detail, [{ place, detail }]);
  };
  const profile = (await allHardware(db)).find((entry) => entry.id === assembly.hardwareId);
  if (assembly.hardwareId !== null && !profile)
    refuse('/hardwareId', 'There is no such hardware profile.');
  const cables = new Set((await getCables(db, closure.projectId)).map((cable) => cable.id));
  assembly.entries.forEach((entry, index) => {
    if (!cables.has(entry.cableId))
      refuse(`/entries/${index}/cableId`, 'There is no such cable in the project.');
    const port = profile?.ports.find(({ name }) => name === entry.port);
    if (entry.port !== null && profile && !port)
      refuse(`/entries/${index}/port`, `${profile.name} has no port “${entry.port}”.`);
    const sharing = assembly.entries.filter((other) => other.port === entry.port).length;
    if (port && sharing > port.holes)
      refuse(
        `/entries/${index}/port`,
        `${port.name} has ${port.holes} ${port.holes === 1 ? 'hole' : 'holes'}; ${sharing} cables are put there.`,
      );
  });
  await putAssemblies(db, [assembly]);
}
