import { z } from '@hono/zod-openapi';
import { idSchema, issue } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { eq, sql } from 'drizzle-orm';
import { rowsOf } from '../../db/client.ts';
import { pins } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { answers, jsonBody, router, savedSchema } from '../../http/router.ts';
import { forEveryone, forPeople, route } from '../access.ts';
import { type Accounts } from '../accounts.ts';
import { requirePerson } from '../actor.ts';
import { appendAudit } from '../audit.ts';
import { hashSecret } from '../hashing.ts';
import { dropSession } from '../cookies.ts';
import { sessionOf, sessionSchema } from '../session.ts';
import { confirm, endSession, signInByPassword, switchByPin } from '../signIn.ts';
import { limitTries } from '../tries.ts';
import { emailSchema, passwordSchema } from './fields.ts';

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

const confirmIt = route(forPeople, {
  method: 'post',
  path: '/session/confirm',
  summary: 'Type one’s PIN or password again, to sign records for some minutes',
  request: {
    body: jsonBody(
      z.union([z.object({ pin: pinSchema }), z.object({ password: z.string().min(1).max(200) })]),
    ),
  },
  responses: answers(savedSchema, 'Confirmed'),
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

/** Who is signed in on a device, and how they come and go. */
export const sessionRoutes = (kept: Accounts | null, accountsOf: () => Accounts) =>
  router()
    .openapi(now, async (c) => {
      if (kept && c.var.actor.kind === 'person') {
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
      const { proof } = await signInByPassword(c, accountsOf(), c.req.valid('json'));
      // What else they are is told anew.
      return c.json(await sessionOf(c, true, proof), 200);
    })
    .openapi(signOut, async (c) => {
      const accounts = accountsOf();
      await endSession(c.var.db, c.var.actor);
      dropSession(c, accounts.origin);
      return c.json({ id: requirePerson(c.var.actor).personId }, 200);
    })
    .openapi(turn, async (c) => {
      const { proof } = await switchByPin(c, accountsOf(), c.req.valid('json'));
      return c.json(await sessionOf(c, true, proof), 200);
    })
    .openapi(confirmIt, async (c) => {
      await confirm(c.var.db, c.var.actor, c.req.valid('json'));
      return c.json({ id: requirePerson(c.var.actor).personId }, 200);
    })
    .openapi(putPin, async (c) => {
      const { personId } = requirePerson(c.var.actor);
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
      const { personId } = requirePerson(c.var.actor);
      const { current, next } = c.req.valid('json');
      await limitTries(c.var.db, `password of ${personId}`, 10);
      const auth = await accounts.auth();
      try {
        await auth.api.changePassword({
          body: { currentPassword: current, newPassword: next, revokeOtherSessions: false },
          headers: c.req.raw.headers,
        });
      } catch {
        throw new Problem(401, say('wrongOwnPassword'));
      }
      const { sessionId } = requirePerson(c.var.actor);
      await rowsOf(
        c.var.db,
        sql`delete from sessions where person_id = ${personId}::uuid and id <> ${sessionId}::uuid`,
      );
      await appendAudit(c.var.db, c.var.actor, { code: 'passwordChanged' });
      return c.json({ id: personId }, 200);
    });
