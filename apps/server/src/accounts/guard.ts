import { accountsProblems as say } from '@cordel/text/server/accounts';
import type { Context, MiddlewareHandler } from 'hono';
import { isProbe, isReading } from '../http/hosts.ts';
import { Problem } from '../http/problem.ts';
import type { Env } from '../http/router.ts';
import type { Accounts } from './accounts.ts';
import { OPEN, requirePerson, authenticate } from './actor.ts';
import { secretsOf } from './cookies.ts';

const BODY_TYPES = ['application/json', 'application/octet-stream', 'application/zip'];

/** Whether something follows the headers (RFC 9112, section 6.3). */
const hasBody = (c: Context): boolean =>
  Number(c.req.header('content-length') ?? 0) > 0 ||
  c.req.header('transfer-encoding') !== undefined;

/**
 * A write comes from a page of our own: a browser says from which, and types that forms of other pages send are refused.
 * Source: OWASP Cross-Site Request Forgery Prevention Cheat Sheet.
 */
function refuseForeign(c: Context, origin: string): void {
  if (isReading(c.req.method)) return;
  const from = c.req.header('origin');
  if (from !== origin) throw new Problem(403, say('wrongOrigin', { origin }));
  const type = c.req.header('content-type')?.split(';')[0]?.trim().toLowerCase();
  if (hasBody(c) && !BODY_TYPES.includes(type ?? '')) throw new Problem(415, say('notJsonType'));
}

/** Strangers sign in and join: they send a few lines. */
const MOST_OF_STRANGERS = 16 * 1024;

const isLarge = (c: Context): boolean =>
  hasBody(c) && !(Number(c.req.header('content-length')) <= MOST_OF_STRANGERS);

/** Tells every route who asks; everybody may do all where there are no accounts. */
export const authenticated =
  (accounts: Accounts | null): MiddlewareHandler<Env> =>
  async (c, next) => {
    const ask = () =>
      accounts && !isProbe(c.req.path)
        ? authenticate(c.var.db, secretsOf(c, accounts.origin))
        : Promise.resolve(OPEN);
    if (accounts) refuseForeign(c, accounts.origin);
    const actor = await ask();
    // Nobody has a server read for them what it would refuse anyway.
    if (actor.kind === 'anonymous' && isLarge(c)) requirePerson(actor);
    c.set('actor', actor);
    c.set('authenticateAgain', ask);
    await next();
  };
