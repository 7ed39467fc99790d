import { passkey } from '@better-auth/passkey';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import type { Db } from '../db/client.ts';
import { credentials, passkeys, people, sessions, verifications } from '../db/schema.ts';
import { hashSecret, isSecret } from './hashing.ts';

const DAY_S = 24 * 3600;

export const PASSWORD_LENGTH = { least: 10, most: 200 };

/**
 * Gives a session to a person of whom something else than a password has shown that it is them: called by our own
 * routes only, and at no address.
 */
const signInAs = () => ({
  id: 'sign-in-as',
  endpoints: {
    signInAs: createAuthEndpoint(
      { method: 'POST', body: z.object({ personId: z.string() }) },
      async (ctx) => {
        const { internalAdapter } = ctx.context;
        const user = await internalAdapter.findUserById(ctx.body.personId);
        if (!user) return ctx.json({ signedIn: false });
        const session = await internalAdapter.createSession(user.id, false);
        await setSessionCookie(ctx, { session, user });
        return ctx.json({ signedIn: true });
      },
    ),
  },
});

export interface AuthSetting {
  db: Db;
  /** Signs cookies. */
  secret: string;
  /** Where people reach the server: `https://splices.example`. */
  origin: string;
}

/** The device that a session is begun on, by the headers of the request. */
export const DEVICE_HEADER = 'x-cordel-device-id';

/** Sign-in by password and passkey, and sessions, over our own tables. */
export function createAuth({ db, secret, origin }: AuthSetting) {
  return betterAuth({
    appName: 'Cordel',
    baseURL: origin,
    basePath: '/api/auth',
    secret,
    trustedOrigins: [origin],
    telemetry: { enabled: false },
    logger: { disabled: true },
    database: drizzleAdapter(db as never, {
      provider: 'pg',
      schema: {
        user: people,
        session: sessions,
        account: credentials,
        verification: verifications,
        passkey: passkeys,
      },
    }),
    user: { additionalFields: { ownsServer: { type: 'boolean', input: false, required: false } } },
    session: {
      fields: { userId: 'personId' },
      expiresIn: 30 * DAY_S,
      updateAge: DAY_S,
      additionalFields: { deviceId: { type: 'string', input: false, required: false } },
    },
    account: { fields: { userId: 'personId' } },
    emailAndPassword: {
      enabled: true,
      minPasswordLength: PASSWORD_LENGTH.least,
      maxPasswordLength: PASSWORD_LENGTH.most,
      password: {
        hash: hashSecret,
        verify: ({ hash: hashed, password }) => isSecret(hashed, password),
      },
    },
    databaseHooks: {
      session: {
        create: {
          before: (session, context) =>
            Promise.resolve({
              data: { ...session, deviceId: context?.headers?.get(DEVICE_HEADER) ?? null },
            }),
        },
      },
    },
    advanced: {
      cookiePrefix: 'cordel',
      useSecureCookies: origin.startsWith('https:'),
      defaultCookieAttributes: { sameSite: 'lax', httpOnly: true, path: '/' },
      database: { generateId: () => uuid() },
    },
    plugins: [
      passkey({
        rpID: new URL(origin).hostname,
        rpName: 'Cordel',
        origin,
        schema: { passkey: { fields: { userId: 'personId', credentialID: 'credentialId' } } },
      }),
      signInAs(),
    ],
  });
}

export type Auth = ReturnType<typeof createAuth>;
