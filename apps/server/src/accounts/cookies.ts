import type { Context } from 'hono';
import { getCookie, setCookie } from 'hono/cookie';
import type { RequestSecrets } from './actor.ts';

/** Browsers keep a cookie for 400 days at most. Source: RFC 6265bis, section 5.5. */
const YEAR_S = 365 * 24 * 3600;

const nameOf = (origin: string, name: string): string =>
  `${origin.startsWith('https:') ? '__Secure-' : ''}cordel.${name}`;

/** Which person made what is sent, where another may be at the device by now. */
const PERSON_HEADER = 'x-cordel-person';

/** What a request shows of who it is from. */
export function secretsOf(c: Context, origin: string): RequestSecrets {
  // The token and its mark, which the library checks where it sets it anew.
  const session = getCookie(c, nameOf(origin, 'session_token'));
  return {
    token: session?.split('.')[0] ?? null,
    deviceSecret: getCookie(c, nameOf(origin, 'device')) ?? null,
    personId: c.req.header(PERSON_HEADER) ?? null,
  };
}

/** Lets a device know itself again. */
export const keepDevice = (c: Context, origin: string, secret: string): void =>
  setCookie(c, nameOf(origin, 'device'), secret, {
    httpOnly: true,
    sameSite: 'Lax',
    secure: origin.startsWith('https:'),
    path: '/',
    maxAge: YEAR_S,
  });

export const dropSession = (c: Context, origin: string): void =>
  setCookie(c, nameOf(origin, 'session_token'), '', {
    httpOnly: true,
    sameSite: 'Lax',
    secure: origin.startsWith('https:'),
    path: '/',
    maxAge: 0,
  });
