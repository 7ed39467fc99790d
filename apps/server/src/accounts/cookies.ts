import type { Context } from 'hono';
import { getCookie, setCookie } from 'hono/cookie';
import type { RequestSecrets } from './actor.ts';

/** Browsers keep a cookie for 400 days at most. Source: RFC 6265bis, section 5.5. */
const YEAR_S = 365 * 24 * 3600;

const isTls = (origin: string): boolean => origin.startsWith('https:');

const sessionName = (origin: string): string =>
  `${isTls(origin) ? '__Secure-' : ''}cordel.session_token`;

/** No other host of the domain can set it (RFC 6265bis, section 4.1.3.2). */
const deviceName = (origin: string): string => `${isTls(origin) ? '__Host-' : ''}cordel.device`;

/** Which person made what is sent, where another may be at the device by now. */
const PERSON_HEADER = 'x-cordel-person';

/** What shows that this person was at the device, as they got it when they signed in. */
const PROOF_HEADER = 'x-cordel-proof';

/** What a request shows of who it is from. */
export function secretsOf(c: Context, origin: string): RequestSecrets {
  // The token and its mark, which the library checks where it sets it anew.
  const session = getCookie(c, sessionName(origin));
  return {
    token: session?.split('.')[0] ?? null,
    deviceSecret: getCookie(c, deviceName(origin)) ?? null,
    personId: c.req.header(PERSON_HEADER) ?? null,
    proof: c.req.header(PROOF_HEADER) ?? null,
  };
}

/** Lets a device know itself again. */
export const keepDevice = (c: Context, origin: string, secret: string): void =>
  setCookie(c, deviceName(origin), secret, {
    httpOnly: true,
    sameSite: 'Lax',
    secure: isTls(origin),
    path: '/',
    maxAge: YEAR_S,
  });

export const dropSession = (c: Context, origin: string): void =>
  setCookie(c, sessionName(origin), '', {
    httpOnly: true,
    sameSite: 'Lax',
    secure: isTls(origin),
    path: '/',
    maxAge: 0,
  });
