import { z } from '@hono/zod-openapi';
import { idSchema, nameSchema } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, eq } from 'drizzle-orm';
import type { Context } from 'hono';
import { APIError } from 'better-auth/api';
import { passkeys } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { answers, jsonBody, router, savedSchema } from '../../http/router.ts';
import { forEveryone, forPeople, route } from '../access.ts';
import type { Accounts } from '../accounts.ts';
import { requirePerson } from '../actor.ts';
import { addressOf } from '../addressOf.ts';
import { sessionOf, sessionSchema } from '../session.ts';
import { beginSession } from '../signIn.ts';
import { limitTries } from '../tries.ts';

/** What a browser and a server say to each other of a passkey. Source: W3C Web Authentication, section 5. */
const ceremonySchema = z.record(z.string(), z.unknown());

const list = route(forPeople, {
  method: 'get',
  path: '/session/passkeys',
  summary: 'One’s passkeys',
  responses: answers(
    z.array(z.object({ id: z.string(), name: z.string(), since: z.string() })),
    'The passkeys',
  ),
});

const beginAdding = route(forPeople, {
  method: 'post',
  path: '/session/passkeys/begin',
  summary: 'Begin to add a passkey: what the browser is asked',
  responses: answers(ceremonySchema, 'Options for the browser'),
});

const add = route(forPeople, {
  method: 'post',
  path: '/session/passkeys',
  summary: 'Add a passkey',
  request: { body: jsonBody(z.object({ name: nameSchema, response: ceremonySchema })) },
  responses: answers(savedSchema, 'Added'),
});

const remove = route(forPeople, {
  method: 'delete',
  path: '/session/passkeys/{passkeyId}',
  summary: 'Remove a passkey of one’s own',
  request: { params: z.object({ passkeyId: idSchema }) },
  responses: answers(savedSchema, 'Removed'),
});

const beginSigningIn = route(forEveryone, {
  method: 'post',
  path: '/session/passkey/begin',
  summary: 'Begin to sign in by passkey: what the browser is asked',
  responses: answers(ceremonySchema, 'Options for the browser'),
});

const signIn = route(forEveryone, {
  method: 'post',
  path: '/session/passkey',
  summary: 'Sign in by passkey',
  request: { body: jsonBody(z.object({ response: ceremonySchema })) },
  responses: answers(sessionSchema, 'The session'),
});

/** Tries of passkeys in a quarter of an hour from one network: they cannot be guessed, but each costs work. */
const MOST_TRIES = 300;

const passCookies = (c: Context, headers: Headers): void => {
  for (const cookie of headers.getSetCookie()) c.header('set-cookie', cookie, { append: true });
};

/** A refusal of the library in words of ours. */
const refused = (error: unknown): Error => {
  if (!(error instanceof APIError)) return error as Error;
  const isOld = error.body?.code === 'SESSION_NOT_FRESH';
  return isOld ? new Problem(403, say('signInAnew')) : new Problem(401, say('passkeyFailed'));
};

export function passkeyRoutes(accountsOf: () => Accounts) {
  return router()
    .openapi(list, async (c) => {
      const { personId } = requirePerson(c.var.actor);
      const rows = await c.var.db.select().from(passkeys).where(eq(passkeys.personId, personId));
      return c.json(
        rows.map(({ id, name, createdAt }) => ({
          id,
          name: name ?? '',
          since: createdAt.toISOString(),
        })),
        200,
      );
    })
    .openapi(beginAdding, async (c) => {
      const auth = await accountsOf().auth();
      try {
        const { response, headers } = await auth.api.generatePasskeyRegistrationOptions({
          headers: c.req.raw.headers,
          returnHeaders: true,
        });
        passCookies(c, headers);
        return c.json(response as unknown as Record<string, unknown>, 200);
      } catch (error) {
        throw refused(error);
      }
    })
    .openapi(add, async (c) => {
      const auth = await accountsOf().auth();
      const { name, response } = c.req.valid('json');
      try {
        const made = await auth.api.verifyPasskeyRegistration({
          body: { name, response: response as never },
          headers: c.req.raw.headers,
        });
        return c.json({ id: String((made as { id: string }).id) }, 200);
      } catch (error) {
        throw refused(error);
      }
    })
    .openapi(remove, async (c) => {
      const { personId } = requirePerson(c.var.actor);
      const { passkeyId } = c.req.valid('param');
      await c.var.db
        .delete(passkeys)
        .where(and(eq(passkeys.id, passkeyId), eq(passkeys.personId, personId)));
      return c.json({ id: passkeyId }, 200);
    })
    .openapi(beginSigningIn, async (c) => {
      const auth = await accountsOf().auth();
      await limitTries(c.var.db, `passkeys from ${addressOf(c)}`, MOST_TRIES);
      const { response, headers } = await auth.api.generatePasskeyAuthenticationOptions({
        headers: c.req.raw.headers,
        returnHeaders: true,
      });
      passCookies(c, headers);
      return c.json(response as unknown as Record<string, unknown>, 200);
    })
    .openapi(signIn, async (c) => {
      const accounts = accountsOf();
      await limitTries(c.var.db, `passkeys from ${addressOf(c)}`, MOST_TRIES);
      const { response } = c.req.valid('json');
      try {
        const { proof } = await beginSession(c, accounts, 'passkey', async (auth, headers) => {
          const { headers: set } = await auth.api.verifyPasskeyAuthentication({
            body: { response: response as never },
            headers,
            returnHeaders: true,
          });
          return set;
        });
        return c.json(await sessionOf(c, true, proof), 200);
      } catch (error) {
        throw refused(error);
      }
    });
}
