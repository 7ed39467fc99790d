import type { Role } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/client.ts';
import { members, people } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { lockProject } from '../projects/queries.ts';
import type { Actor } from './actor.ts';
import { appendAudit } from './audit.ts';
import { endLinksOf } from './invitations.ts';

interface Change {
  projectId: string;
  personId: string;
  /** Null takes the person out of the project. */
  role: Role | null;
}

/**
 * Changes what a person is in a project. A project keeps an owner.
 * @throws Problem 404 where they are not in it, 409 where they are its last owner
 */
export async function changeRole(db: Db, actor: Actor, { projectId, personId, role }: Change) {
  await db.transaction(async (tx) => {
    // Two owners who take each other's role do so one after the other.
    await lockProject(tx as unknown as Db, projectId);
    const all = await tx
      .select({ personId: members.personId, role: members.role, name: people.name })
      .from(members)
      .innerJoin(people, eq(people.id, members.personId))
      .where(eq(members.projectId, projectId));
    const held = all.find((member) => member.personId === personId);
    if (!held) throw new Problem(404, say('noSuchMember'));
    if (held.role === role) return;
    const owners = all.filter((member) => member.role === 'owner');
    if (held.role === 'owner' && owners.length === 1) throw new Problem(409, say('lastOwner'));
    const own = and(eq(members.projectId, projectId), eq(members.personId, personId));
    if (role === null) await tx.delete(members).where(own);
    else await tx.update(members).set({ role }).where(own);
    await endLinksOf(tx, { projectId, personId, role });
    await appendAudit(
      tx,
      actor,
      role === null
        ? { code: 'roleTaken', name: held.name, from: held.role }
        : { code: 'roleChanged', name: held.name, from: held.role, to: role },
      { projectId },
    );
  });
}

/** Whoever adds a project owns it. */
export async function makeOwner(
  db: Pick<Db, 'insert'>,
  actor: Actor,
  projectId: string,
): Promise<void> {
  if (actor.kind !== 'person') return;
  await db
    .insert(members)
    .values({ projectId, personId: actor.personId, role: 'owner' })
    .onConflictDoNothing();
}
