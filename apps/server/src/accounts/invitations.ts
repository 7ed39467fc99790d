import { LEAST_ROLE, ROLES, type Right, type Role, may } from '@cordel/core';
import { digestOf } from '@cordel/core/close';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { type Db, rowsOf } from '../db/client.ts';
import { credentials, invitations, members, people, projects, sessions } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';
import type { Accounts } from './accounts.ts';
import { appendAudit } from './audit.ts';
import { hashSecret } from './hashing.ts';
import { newSecret } from './keys.ts';

type Invitation = typeof invitations.$inferSelect;

/** How long the link of the first start holds, and one that sets a password. */
const DAY_MS = 24 * 3600_000;

interface Invited {
  id: string;
  projectId: string | null;
  role: Role;
  note: string;
  invitedBy: string | null;
  forPersonId?: string | null;
  days: number;
}

/** Makes a link that works once. Its secret is told here, and kept nowhere. */
export async function invite(db: Db, { days, ...invited }: Invited): Promise<string> {
  const secret = newSecret();
  await db.insert(invitations).values({
    ...invited,
    secretHash: digestOf(secret),
    expiresAt: new Date(Date.now() + days * DAY_MS),
  });
  return secret;
}

/**
 * The link that makes the owner of a server on which nobody is yet; null where somebody is. A link of an earlier start
 * holds no longer.
 */
export async function firstStart(db: Db): Promise<string | null> {
  const [known] = await db.select({ id: people.id }).from(people).limit(1);
  if (known) return null;
  await db
    .update(invitations)
    .set({ revokedAt: new Date() })
    .where(and(isNull(invitations.projectId), isNull(invitations.usedAt)));
  return invite(db, {
    id: uuid(),
    projectId: null,
    role: 'owner',
    note: '',
    invitedBy: null,
    days: 1,
  });
}

/** What somebody needs to invite others as that: an owner invites everybody, a lead those below. */
export const rightToInvite = (role: Role): Right =>
  role === LEAST_ROLE.decide || role === LEAST_ROLE.manage ? 'manage' : 'decide';

/** Whether whoever made a link may still do so. */
async function isStillMeant(db: Db, { projectId, role, invitedBy }: Invitation): Promise<boolean> {
  if (invitedBy === null) return true;
  const [by] = await rowsOf<{ ownsServer: boolean; role: Role | null }>(
    db,
    sql`select p.owns_server as "ownsServer", m.role from people p
        left join members m on m.person_id = p.id and m.project_id = ${projectId}::uuid
        where p.id = ${invitedBy}::uuid`,
  );
  return by!.ownsServer || (by!.role !== null && may(by!.role, rightToInvite(role)));
}

/** Ends the links of somebody in a project that they may not make any more, now or later. */
export async function endLinksOf(
  db: Pick<Db, 'update'>,
  { projectId, personId, role }: { projectId: string; personId: string; role: Role | null },
): Promise<void> {
  const ended = ROLES.filter((own) => role === null || !may(role, rightToInvite(own)));
  if (ended.length === 0) return;
  await db
    .update(invitations)
    .set({ revokedAt: new Date() })
    .where(
      and(
        eq(invitations.projectId, projectId),
        eq(invitations.invitedBy, personId),
        isNull(invitations.usedAt),
        isNull(invitations.revokedAt),
        inArray(invitations.role, ended),
      ),
    );
}

/** @throws Problem 404 or 409 where the link is none that holds */
export async function openInvitation(db: Db, secret: string): Promise<Invitation> {
  const [found] = await db
    .select()
    .from(invitations)
    .where(eq(invitations.secretHash, digestOf(secret)));
  if (!found) throw new Problem(404, say('invitationUnknown'));
  if (found.usedAt) throw new Problem(409, say('invitationUsed'));
  if (found.revokedAt || !(await isStillMeant(db, found)))
    throw new Problem(409, say('invitationRevoked'));
  if (found.expiresAt.getTime() < Date.now())
    throw new Problem(
      409,
      say('invitationExpired', { day: found.expiresAt.toISOString().slice(0, 10) }),
    );
  return found;
}

/** What a link is for, as whoever opens it is shown. */
export async function invitationShown(
  db: Db,
  { projectId, role, invitedBy, note, forPersonId }: Invitation,
) {
  const [project] = projectId
    ? await db.select({ name: projects.name }).from(projects).where(eq(projects.id, projectId))
    : [];
  const by = invitedBy ?? forPersonId;
  const [person] = by ? await db.select().from(people).where(eq(people.id, by)) : [];
  return {
    project: project?.name ?? null,
    role,
    note,
    invitedBy: invitedBy ? (person?.name ?? null) : null,
    setsPassword: forPersonId !== null,
  };
}

/** Takes a link up: of two who try at once, one has it. */
async function use(db: Db, { id }: Invitation, personId: string): Promise<void> {
  const [used] = await rowsOf(
    db,
    sql`update invitations set used_at = now(), used_by = ${personId}::uuid
        where id = ${id}::uuid and used_at is null and revoked_at is null returning id`,
  );
  if (!used) throw new Problem(409, say('invitationUsed'));
}

interface NewPerson {
  name: string;
  email: string;
  password: string;
}

/**
 * Makes an account by a link.
 * @returns the new person's id
 * @throws Problem 409 at the name or e-mail that somebody has already
 */
export async function joinAsNew(
  db: Db,
  accounts: Accounts,
  invitation: Invitation,
  { name, email, password }: NewPerson,
): Promise<string> {
  const id = uuid();
  const hashed = await hashSecret(password);
  await accounts.auth();
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    const taken = await rowsOf<{ isEmail: boolean }>(
      on,
      sql`select email = ${email.toLowerCase()} as "isEmail" from people
          where email = ${email.toLowerCase()} or lower(name) = ${name.toLowerCase()} order by 1 desc limit 1`,
    );
    if (taken[0])
      throw taken[0].isEmail
        ? problemAt(409, '/email', say('emailTaken'))
        : problemAt(409, '/name', say('nameTaken'));
    const isOwner = invitation.projectId === null && invitation.invitedBy === null;
    await tx.insert(people).values({ id, name, email: email.toLowerCase(), ownsServer: isOwner });
    await tx.insert(credentials).values({
      id: uuid(),
      personId: id,
      accountId: id,
      providerId: 'credential',
      password: hashed,
    });
    await use(on, invitation, id);
    await addMember(on, invitation, id);
  });
  return id;
}

async function addMember(db: Db, { projectId, role }: Invitation, personId: string): Promise<void> {
  if (projectId === null) return;
  // Who is more than the link makes them stays what they are.
  await db.insert(members).values({ projectId, personId, role }).onConflictDoNothing();
}

/** Brings somebody who has an account into a project. */
export async function joinAs(db: Db, invitation: Invitation, personId: string): Promise<void> {
  await db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await use(on, invitation, personId);
    await addMember(on, invitation, personId);
  });
}

/** Sets a password anew by a link; all sessions of the person end. */
export async function setPasswordBy(
  db: Db,
  invitation: Invitation,
  password: string,
): Promise<string> {
  const personId = invitation.forPersonId!;
  const hashed = await hashSecret(password);
  await db.transaction(async (tx) => {
    await use(tx as unknown as Db, invitation, personId);
    await tx
      .update(credentials)
      .set({ password: hashed, updatedAt: new Date() })
      .where(and(eq(credentials.personId, personId), eq(credentials.providerId, 'credential')));
    await tx.delete(sessions).where(eq(sessions.personId, personId));
    await appendAudit(
      tx,
      { kind: 'anonymous', why: 'signedOut' },
      { code: 'passwordChanged' },
      { personId },
    );
  });
  return personId;
}
