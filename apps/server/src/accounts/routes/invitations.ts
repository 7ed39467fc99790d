import { z } from '@hono/zod-openapi';
import { idSchema, nameSchema, roleSchema } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, eq } from 'drizzle-orm';
import { invitations } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { answers, idParams, jsonBody, router, savedSchema } from '../../http/router.ts';
import { forEveryone, inProject, route } from '../access.ts';
import { type Accounts } from '../accounts.ts';
import { hasRight, requirePerson } from '../actor.ts';
import { addressOf } from '../addressOf.ts';
import { appendAudit } from '../audit.ts';
import {
  invitationShown,
  invite,
  joinAs,
  joinAsNew,
  openInvitation,
  rightToInvite,
  setPasswordBy,
} from '../invitations.ts';
import { sessionOf, sessionSchema } from '../session.ts';
import { beginSessionOf } from '../signIn.ts';
import { limitTries } from '../tries.ts';
import { emailSchema, passwordSchema } from './fields.ts';

const secretSchema = z.string().min(20).max(200);

const shownSchema = z.object({
  project: z.string().nullable(),
  role: roleSchema,
  note: z.string(),
  invitedBy: z.string().nullable(),
  setsPassword: z.boolean(),
});

const project = idParams('projectId');

/** Tries of a link in a quarter of an hour from one network: its secret is not to be guessed. */
const MOST_LINKS = 300;

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

/** Links by which people join. */
export const invitationRoutes = (accountsOf: () => Accounts) =>
  router()
    .openapi(look, async (c) => {
      accountsOf();
      await limitTries(c.var.db, `links from ${addressOf(c)}`, MOST_LINKS);
      const found = await openInvitation(c.var.db, c.req.valid('json').secret);
      return c.json(await invitationShown(c.var.db, found), 200);
    })
    .openapi(accept, async (c) => {
      const accounts = accountsOf();
      const { db } = c.var;
      await limitTries(db, `links from ${addressOf(c)}`, MOST_LINKS);
      const { secret, person, password } = c.req.valid('json');
      const invitation = await openInvitation(db, secret);
      let proof: string | undefined;
      if (invitation.forPersonId) {
        if (password === null) throw new Problem(422, say('passwordMissing'));
        const personId = await setPasswordBy(db, invitation, password);
        ({ proof } = await beginSessionOf(c, accounts, 'invitation', personId));
      } else if (person) {
        const personId = await joinAsNew(db, accounts, invitation, person);
        ({ proof } = await beginSessionOf(c, accounts, 'invitation', personId));
      } else {
        const { personId, ...actor } = requirePerson(c.var.actor);
        await joinAs(db, invitation, personId);
        // As they are from now on.
        if (invitation.projectId !== null)
          c.set('actor', {
            ...actor,
            personId,
            roles: new Map([[invitation.projectId, invitation.role], ...actor.roles]),
          });
      }
      if (invitation.projectId !== null)
        await appendAudit(
          db,
          c.var.actor,
          { code: 'joined', name: requirePerson(c.var.actor).name, role: invitation.role },
          { projectId: invitation.projectId },
        );
      return c.json(await sessionOf(c, true, proof), 200);
    })
    .openapi(postInvitation, async (c) => {
      const { projectId } = c.req.valid('param');
      const { id, role, note, days } = c.req.valid('json');
      const { personId } = requirePerson(c.var.actor);
      if (!hasRight(c.var.actor, projectId, rightToInvite(role)))
        throw new Problem(403, say('ownerInvites'));
      const secret = await invite(c.var.db, {
        id,
        projectId,
        role,
        note,
        invitedBy: personId,
        days,
      });
      await appendAudit(c.var.db, c.var.actor, { code: 'invited', role, note }, { projectId });
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
      await appendAudit(
        c.var.db,
        c.var.actor,
        { code: 'invitationTakenBack', note: gone.note },
        { projectId },
      );
      return c.json({ id: invitationId }, 200);
    });
