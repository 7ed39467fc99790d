import { z } from '@hono/zod-openapi';
import { LEAST_ROLE, type Role, idSchema, issue, nameSchema, roleSchema } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { type Db, rowsOf } from '../db/client.ts';
import { devices, invitations, members, people, pins, sessions } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { answers, idParams, jsonBody, router, savedSchema } from '../http/router.ts';
import { forEveryone, forPeople, forServerOwner, inProject, route } from './access.ts';
import type { Accounts } from './accounts.ts';
import { hasRight, personOf, whoAsks } from './asking.ts';
import { tell } from './audit.ts';
import { PASSWORD_LENGTH, hashSecret } from './auth.ts';
import { dropSession, shownBy } from './cookies.ts';
import {
  invitationShown,
  invite,
  joinAs,
  joinAsNew,
  openInvitation,
  setPasswordBy,
} from './invitations.ts';
import { changeRole } from './members.ts';
import {
  beginSession,
  endSession,
  signInByPassword,
  signInWithout,
  switchByPin,
} from './signIn.ts';
import { passkeyRoutes } from './passkeys.ts';
import { personSchema, sessionOf, sessionSchema } from './session.ts';
import { countTry } from './tries.ts';

const emailSchema = z.email({ error: issue('notEmail') }).max(120);
const passwordSchema = z
  .string()
  .min(PASSWORD_LENGTH.least, issue('passwordTooShort'))
  .max(PASSWORD_LENGTH.most, issue('passwordTooLong'));
const secretSchema = z.string().min(20).max(200);
const pinSchema = z.string().regex(/^\d{4,8}$/, issue('notPin'));

const now = route(forEveryone, {
  method: 'get',
  path: '/session',
  summary: 'Who is signed in on this device, and what they may do where',
  responses: answers(sessionSchema, 'The session'),
});

const signIn = route(forEveryone, {
  method: 'post',
  path: '/session',
  summary: 'Sign in by e-mail and password',
  request: {
    body: jsonBody(z.object({ email: emailSchema, password: z.string().min(1).max(200) })),
  },
  responses: answers(sessionSchema, 'The session'),
});

const signOut = route(forPeople, {
  method: 'delete',
  path: '/session',
  summary: 'Sign out of this device',
  responses: answers(savedSchema, 'Signed out'),
});

const turn = route(forPeople, {
  method: 'post',
  path: '/session/person',
  summary: 'Take one’s turn on a device that several people share, by PIN',
  request: { body: jsonBody(z.object({ personId: idSchema, pin: pinSchema })) },
  responses: answers(sessionSchema, 'The session'),
});

const putPin = route(forPeople, {
  method: 'put',
  path: '/session/pin',
  summary: 'Set one’s PIN, or take it away',
  request: { body: jsonBody(z.object({ pin: pinSchema.nullable() })) },
  responses: answers(savedSchema, 'Set'),
});

const putPassword = route(forPeople, {
  method: 'put',
  path: '/session/password',
  summary: 'Change one’s password; all other sessions of the person end',
  request: {
    body: jsonBody(z.object({ current: z.string().min(1).max(200), next: passwordSchema })),
  },
  responses: answers(savedSchema, 'Changed'),
});

const listSessions = route(forPeople, {
  method: 'get',
  path: '/sessions',
  summary: 'Where one is signed in',
  responses: answers(
    z.array(
      z.object({
        id: z.string(),
        deviceId: z.string(),
        device: z.string(),
        since: z.string(),
        until: z.string(),
        current: z.boolean(),
      }),
    ),
    'The sessions, the newest first',
  ),
});

const dropOne = route(forPeople, {
  method: 'delete',
  path: '/sessions/{sessionId}',
  summary: 'End a session of one’s own',
  request: { params: idParams('sessionId') },
  responses: answers(savedSchema, 'Ended'),
});

const lockOut = route(forPeople, {
  method: 'post',
  path: '/devices/{deviceId}/lock-out',
  summary: 'Lock out a device that was lost: everybody is signed out of it',
  description:
    'By whoever is signed in on it, or the owner of the server. What was recorded on it before is taken if it comes, and marked.',
  request: { params: idParams('deviceId') },
  responses: answers(savedSchema, 'Locked out'),
});

const listPeople = route(forServerOwner, {
  method: 'get',
  path: '/people',
  summary: 'Everybody who has an account, and their devices',
  responses: answers(
    z.array(
      personSchema.extend({
        email: z.string(),
        ownsServer: z.boolean(),
        devices: z.array(
          z.object({ id: z.string(), name: z.string(), lockedOut: z.boolean(), since: z.string() }),
        ),
      }),
    ),
    'The people',
  ),
});

const passwordLink = route(forServerOwner, {
  method: 'post',
  path: '/people/{personId}/password-link',
  summary: 'A link by which a person sets their password anew: it works once, for a day',
  request: { params: idParams('personId') },
  responses: answers(z.object({ secret: z.string() }), 'The link’s secret'),
});

const shownSchema = z.object({
  project: z.string().nullable(),
  role: roleSchema,
  note: z.string(),
  invitedBy: z.string().nullable(),
  setsPassword: z.boolean(),
});

const look = route(forEveryone, {
  method: 'post',
  path: '/invitations/look',
  summary: 'What a link is for',
  request: { body: jsonBody(z.object({ secret: secretSchema })) },
  responses: answers(shownSchema, 'The invitation'),
});

const accept = route(forEveryone, {
  method: 'post',
  path: '/invitations/accept',
  summary: 'Join by a link: as somebody new, as whoever is signed in, or with a new password',
  request: {
    body: jsonBody(
      z.object({
        secret: secretSchema,
        /** Null where whoever is signed in joins, or only a password is set. */
        person: z
          .object({ name: nameSchema, email: emailSchema, password: passwordSchema })
          .nullable(),
        password: passwordSchema.nullable().default(null),
      }),
    ),
  },
  responses: answers(sessionSchema, 'The session'),
});

const project = idParams('projectId');

const memberSchema = personSchema.extend({ role: roleSchema, since: z.string() });

const listMembers = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/members',
  summary: 'Who is in a project, and the links that still hold',
  request: { params: project },
  responses: answers(
    z.object({
      members: z.array(memberSchema),
      /** For those who may invite. */
      invitations: z.array(
        z.object({ id: z.string(), role: roleSchema, note: z.string(), until: z.string() }),
      ),
    }),
    'The members',
  ),
});

const putMember = route(inProject('manage'), {
  method: 'put',
  path: '/projects/{projectId}/members/{personId}',
  summary: 'Change what a person is in a project; null takes them out of it',
  request: {
    params: project.extend({ personId: idSchema }),
    body: jsonBody(z.object({ role: roleSchema.nullable() })),
  },
  responses: answers(savedSchema, 'Changed'),
});

const postInvitation = route(inProject('decide'), {
  method: 'post',
  path: '/projects/{projectId}/invitations',
  summary: 'A link by which somebody joins a project: it works once',
  description: 'A lead invites technicians, inspectors and readers; the owner everybody.',
  request: {
    params: project,
    body: jsonBody(
      z.object({
        id: idSchema,
        role: roleSchema,
        note: z.string().trim().max(80).default(''),
        days: z.int().min(1).max(30).default(7),
      }),
    ),
  },
  responses: answers(z.object({ secret: z.string() }), 'The link’s secret: it is told this once'),
});

const dropInvitation = route(inProject('decide'), {
  method: 'delete',
  path: '/projects/{projectId}/invitations/{invitationId}',
  summary: 'Take a link back',
  request: { params: project.extend({ invitationId: idSchema }) },
  responses: answers(savedSchema, 'Taken back'),
});

const auditSchema = z.array(
  z.object({
    seq: z.int(),
    at: z.string(),
    code: z.string(),
    parameters: z.record(z.string(), z.unknown()),
    person: z.string().nullable(),
    project: z.string().nullable(),
  }),
);
const page = z.object({ before: z.coerce.number().int().min(1).optional() });

const projectAudit = route(inProject('manage'), {
  method: 'get',
  path: '/projects/{projectId}/audit',
  summary: 'Who did what to a project besides recording, the newest first',
  request: { params: project, query: page },
  responses: answers(auditSchema, 'The trail'),
});

const serverAudit = route(forServerOwner, {
  method: 'get',
  path: '/audit',
  summary: 'The same of the whole server, sign-ins too',
  request: { query: page },
  responses: answers(auditSchema, 'The trail'),
});

const iso = (at: Date): string => at.toISOString();

/** Tries of a link in a quarter of an hour, by everybody: its secret is not to be guessed. */
const MOST_LINKS = 300;

async function auditOf(db: Db, projectId: string | null, before: number | undefined) {
  return rowsOf<z.infer<typeof auditSchema>[number]>(
    db,
    sql`select a.seq::int as seq, to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at,
          a.code, a.parameters, p.name as person, j.name as project
        from audit a left join people p on p.id = a.person_id left join projects j on j.id = a.project_id
        where (${projectId}::uuid is null or a.project_id = ${projectId}::uuid)
          and (${before ?? null}::bigint is null or a.seq < ${before ?? null}::bigint)
        order by a.seq desc limit 200`,
  );
}

export function accountRoutes(kept: Accounts | null) {
  /** @throws Problem 401 where nobody signs in on this server */
  const accountsOf = (): Accounts => {
    if (kept) return kept;
    throw new Problem(401, say('noAccounts'));
  };
  return router()
    .route('/', passkeyRoutes(accountsOf))
    .openapi(now, async (c) => {
      if (kept && c.var.asking.kind === 'person') {
        // A session that is in use goes on: its month begins anew.
        const auth = await kept.auth();
        const { headers } = await auth.api.getSession({
          headers: c.req.raw.headers,
          returnHeaders: true,
        });
        for (const cookie of headers.getSetCookie())
          c.header('set-cookie', cookie, { append: true });
      }
      return c.json(await sessionOf(c, kept !== null), 200);
    })
    .openapi(signIn, async (c) => {
      await signInByPassword(c, accountsOf(), c.req.valid('json'));
      // What else they are is told anew.
      return c.json(await sessionOf(c, true), 200);
    })
    .openapi(signOut, async (c) => {
      const accounts = accountsOf();
      await endSession(c.var.db, c.var.asking);
      // The cookie may be somebody else's who shares the device, and stays signed in.
      const shown = { ...shownBy(c, accounts.origin), personId: null };
      const rest = await whoAsks(c.var.db, shown);
      if (rest.kind !== 'person') dropSession(c, accounts.origin);
      return c.json({ id: personOf(c.var.asking).personId }, 200);
    })
    .openapi(turn, async (c) => {
      await switchByPin(c, accountsOf(), c.req.valid('json'));
      return c.json(await sessionOf(c, true), 200);
    })
    .openapi(putPin, async (c) => {
      const { personId } = personOf(c.var.asking);
      const { pin } = c.req.valid('json');
      if (pin === null) await c.var.db.delete(pins).where(eq(pins.personId, personId));
      else {
        const hash = await hashSecret(pin);
        await c.var.db
          .insert(pins)
          .values({ personId, hash })
          .onConflictDoUpdate({ target: pins.personId, set: { hash } });
      }
      return c.json({ id: personId }, 200);
    })
    .openapi(putPassword, async (c) => {
      const accounts = accountsOf();
      const { personId } = personOf(c.var.asking);
      const { current, next } = c.req.valid('json');
      await countTry(c.var.db, `password of ${personId}`, 10);
      const auth = await accounts.auth();
      try {
        await auth.api.changePassword({
          body: { currentPassword: current, newPassword: next, revokeOtherSessions: false },
          headers: c.req.raw.headers,
        });
      } catch {
        throw new Problem(401, say('wrongPassword'));
      }
      const { sessionId } = personOf(c.var.asking);
      await rowsOf(
        c.var.db,
        sql`delete from sessions where person_id = ${personId}::uuid and id <> ${sessionId}::uuid`,
      );
      await tell(c.var.db, c.var.asking, { code: 'passwordChanged' });
      return c.json({ id: personId }, 200);
    })
    .openapi(listSessions, async (c) => {
      const { personId, sessionId } = personOf(c.var.asking);
      const rows = await c.var.db
        .select({ session: sessions, device: devices })
        .from(sessions)
        .innerJoin(devices, eq(devices.id, sessions.deviceId))
        .where(eq(sessions.personId, personId))
        .orderBy(desc(sessions.createdAt));
      return c.json(
        rows.map(({ session, device }) => ({
          id: session.id,
          deviceId: device.id,
          device: device.name,
          since: iso(session.createdAt),
          until: iso(session.expiresAt),
          current: session.id === sessionId,
        })),
        200,
      );
    })
    .openapi(dropOne, async (c) => {
      const { personId } = personOf(c.var.asking);
      const { sessionId } = c.req.valid('param');
      await c.var.db
        .delete(sessions)
        .where(and(eq(sessions.id, sessionId), eq(sessions.personId, personId)));
      await tell(c.var.db, c.var.asking, { code: 'sessionEnded', sessionId });
      return c.json({ id: sessionId }, 200);
    })
    .openapi(lockOut, async (c) => {
      const { db } = c.var;
      const { deviceId } = c.req.valid('param');
      const { personId, ownsServer } = personOf(c.var.asking);
      const [device] = await db.select().from(devices).where(eq(devices.id, deviceId));
      const here = await db.select().from(sessions).where(eq(sessions.deviceId, deviceId));
      if (!device || (!ownsServer && !here.some((session) => session.personId === personId)))
        throw new Problem(404, say('deviceUnknown'));
      await db.transaction(async (tx) => {
        await tx.update(devices).set({ lockedOutAt: new Date() }).where(eq(devices.id, deviceId));
        await tx.delete(sessions).where(eq(sessions.deviceId, deviceId));
        await tell(tx, c.var.asking, { code: 'deviceLockedOut', deviceId, name: device.name });
      });
      return c.json({ id: deviceId }, 200);
    })
    .openapi(listPeople, async (c) => {
      const all = await c.var.db.select().from(people).orderBy(people.name);
      const rows = await rowsOf<{
        personId: string;
        id: string;
        name: string;
        lockedOut: boolean;
        since: string;
      }>(
        c.var.db,
        sql`select distinct on (s.person_id, d.id) s.person_id as "personId", d.id, d.name,
              d.locked_out_at is not null as "lockedOut",
              to_char(d.created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as since
            from sessions s join devices d on d.id = s.device_id`,
      );
      return c.json(
        all.map(({ id, name, email, ownsServer }) => ({
          id,
          name,
          email,
          ownsServer,
          devices: rows
            .filter(({ personId }) => personId === id)
            .map(({ personId: _person, ...device }) => device),
        })),
        200,
      );
    })
    .openapi(passwordLink, async (c) => {
      const { personId } = c.req.valid('param');
      const [person] = await c.var.db.select().from(people).where(eq(people.id, personId));
      if (!person) throw new Problem(404, say('personUnknown'));
      const secret = await invite(c.var.db, {
        id: uuid(),
        projectId: null,
        role: 'reader',
        note: person.name,
        invitedBy: personOf(c.var.asking).personId,
        forPersonId: personId,
        days: 1,
      });
      return c.json({ secret }, 200);
    })
    .openapi(look, async (c) => {
      accountsOf();
      await countTry(c.var.db, 'links', MOST_LINKS);
      const found = await openInvitation(c.var.db, c.req.valid('json').secret);
      return c.json(await invitationShown(c.var.db, found), 200);
    })
    .openapi(accept, async (c) => {
      const accounts = accountsOf();
      const { db } = c.var;
      await countTry(db, 'links', MOST_LINKS);
      const { secret, person, password } = c.req.valid('json');
      const invitation = await openInvitation(db, secret);
      if (invitation.forPersonId) {
        if (password === null) throw new Problem(422, say('passwordMissing'));
        const personId = await setPasswordBy(db, invitation, password);
        await beginSession(c, accounts, 'invitation', (auth, headers) =>
          signInWithout(auth, headers, personId),
        );
      } else if (person) {
        const personId = await joinAsNew(db, accounts, invitation, person);
        await beginSession(c, accounts, 'invitation', (auth, headers) =>
          signInWithout(auth, headers, personId),
        );
      } else {
        const { personId, ...asking } = personOf(c.var.asking);
        await joinAs(db, invitation, personId);
        // As they are from now on.
        if (invitation.projectId !== null)
          c.set('asking', {
            ...asking,
            personId,
            roles: new Map([[invitation.projectId, invitation.role], ...asking.roles]),
          });
      }
      if (invitation.projectId !== null)
        await tell(
          db,
          c.var.asking,
          { code: 'joined', name: personOf(c.var.asking).name, role: invitation.role },
          { projectId: invitation.projectId },
        );
      return c.json(await sessionOf(c, true), 200);
    })
    .openapi(listMembers, async (c) => {
      const { projectId } = c.req.valid('param');
      const rows = await c.var.db
        .select({ id: people.id, name: people.name, role: members.role, since: members.since })
        .from(members)
        .innerJoin(people, eq(people.id, members.personId))
        .where(eq(members.projectId, projectId))
        .orderBy(people.name);
      const open = hasRight(c.var.asking, projectId, 'decide')
        ? await c.var.db
            .select()
            .from(invitations)
            .where(
              and(
                eq(invitations.projectId, projectId),
                isNull(invitations.usedAt),
                isNull(invitations.revokedAt),
                sql`${invitations.expiresAt} > now()`,
              ),
            )
            .orderBy(invitations.createdAt)
        : [];
      return c.json(
        {
          members: rows.map((row) => ({ ...row, since: iso(row.since) })),
          invitations: open.map(({ id, role, note, expiresAt }) => ({
            id,
            role,
            note,
            until: iso(expiresAt),
          })),
        },
        200,
      );
    })
    .openapi(putMember, async (c) => {
      const { projectId, personId } = c.req.valid('param');
      await changeRole(c.var.db, c.var.asking, {
        projectId,
        personId,
        role: c.req.valid('json').role,
      });
      return c.json({ id: personId }, 200);
    })
    .openapi(postInvitation, async (c) => {
      const { projectId } = c.req.valid('param');
      const { id, role, note, days } = c.req.valid('json');
      const { personId } = personOf(c.var.asking);
      if (isLeadsOrMore(role) && !hasRight(c.var.asking, projectId, 'manage'))
        throw new Problem(403, say('ownerInvites'));
      const secret = await invite(c.var.db, {
        id,
        projectId,
        role,
        note,
        invitedBy: personId,
        days,
      });
      await tell(c.var.db, c.var.asking, { code: 'invited', role, note }, { projectId });
      return c.json({ secret }, 200);
    })
    .openapi(dropInvitation, async (c) => {
      const { projectId, invitationId } = c.req.valid('param');
      const [gone] = await c.var.db
        .update(invitations)
        .set({ revokedAt: new Date() })
        .where(and(eq(invitations.id, invitationId), eq(invitations.projectId, projectId)))
        .returning({ note: invitations.note });
      if (!gone) throw new Problem(404, say('invitationUnknown'));
      await tell(
        c.var.db,
        c.var.asking,
        { code: 'invitationTakenBack', note: gone.note },
        { projectId },
      );
      return c.json({ id: invitationId }, 200);
    })
    .openapi(projectAudit, async (c) =>
      c.json(
        await auditOf(c.var.db, c.req.valid('param').projectId, c.req.valid('query').before),
        200,
      ),
    )
    .openapi(serverAudit, async (c) =>
      c.json(await auditOf(c.var.db, null, c.req.valid('query').before), 200),
    );
}

const isLeadsOrMore = (role: Role): boolean =>
  role === LEAST_ROLE.decide || role === LEAST_ROLE.manage;
