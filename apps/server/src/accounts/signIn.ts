import { digestOf } from '@cordel/core/close';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { APIError } from 'better-auth/api';
import { and, eq, ne, or, sql } from 'drizzle-orm';
import type { Context } from 'hono';
import { v7 as uuid } from 'uuid';
import { type Db, rowsOf } from '../db/client.ts';
import { credentials, devices, pins, sessions } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import type { Env } from '../http/router.ts';
import type { Accounts } from './accounts.ts';
import { type Actor, type SignedInPerson, requirePerson, authenticate } from './actor.ts';
import { type AuditEvent, appendAudit } from './audit.ts';
import { addressOf } from './addressOf.ts';
import { type Auth, DEVICE_HEADER } from './auth.ts';
import { keepDevice, secretsOf } from './cookies.ts';
import { isSecret } from './hashing.ts';
import { newSecret } from './keys.ts';
import { limitTries, forgetTries } from './tries.ts';

/** Tries in a quarter of an hour: of one person's password or PIN, and of any password from one network. */
const MOST_TRIES = { password: 10, pin: 5, address: 120 };

type Way = Extract<AuditEvent, { code: 'signedIn' }>['way'];

/**
 * The device that a request comes from, with a new secret: one that somebody else put there or has seen is worth nothing
 * from then on.
 */
async function deviceOf(c: Context<Env>, accounts: Accounts) {
  const { deviceSecret } = secretsOf(c, accounts.origin);
  const secret = newSecret();
  const secretHash = digestOf(secret);
  if (deviceSecret !== null) {
    const shown = digestOf(deviceSecret);
    const [known] = await c.var.db
      .update(devices)
      .set({ secretHash, previousHash: sql`${devices.secretHash}`, renewedAt: new Date() })
      .where(or(eq(devices.secretHash, shown), eq(devices.previousHash, shown)))
      .returning({ id: devices.id });
    if (known) return { id: known.id, secret };
  }
  const name = /Mobi|Android/.test(c.req.header('user-agent') ?? '') ? 'phone' : 'computer';
  const id = uuid();
  await c.var.db.insert(devices).values({ id, secretHash, name });
  return { id, secret };
}

/** How long what a person made is sent in another's turn: a long shift. */
const PROOF_HOURS = 14;

/** Who has signed in, and what shows it for a shift while others take their turns on the device. */
export interface SignedIn {
  person: SignedInPerson;
  proof: string;
}

/**
 * Begins a session on the device that a request comes from, which replaces the person's last one on it.
 * @param signIn has the library set the session's cookie, for a request with these headers
 */
export async function beginSession(
  c: Context<Env>,
  accounts: Accounts,
  way: Way,
  signIn: (auth: Auth, headers: Headers) => Promise<Headers>,
): Promise<SignedIn> {
  const { db } = c.var;
  const device = await deviceOf(c, accounts);
  const headers = new Headers(c.req.raw.headers);
  headers.set(DEVICE_HEADER, device.id);
  const set = (await signIn(await accounts.auth(), headers)).getSetCookie();
  for (const cookie of set) c.header('set-cookie', cookie, { append: true });
  keepDevice(c, accounts.origin, device.secret);
  const token = set
    .map((cookie) => /session_token=([^.;]+)/.exec(cookie)?.[1])
    .find((found) => found);
  const actor = requirePerson(
    await authenticate(db, {
      token: token ?? '',
      deviceSecret: device.secret,
      personId: null,
      proof: null,
    }),
  );
  const proof = newSecret();
  await db
    .update(sessions)
    .set({
      proofHash: digestOf(proof),
      proofUntil: sql`now() + make_interval(hours => ${PROOF_HOURS})`,
    })
    .where(eq(sessions.id, actor.sessionId));
  await db
    .delete(sessions)
    .where(
      and(
        eq(sessions.personId, actor.personId),
        eq(sessions.deviceId, device.id),
        ne(sessions.id, actor.sessionId),
      ),
    );
  await appendAudit(db, actor, { code: 'signedIn', way });
  c.set('actor', actor);
  return { person: actor, proof };
}

/** The device that a request comes from, where the person of an e-mail has signed in on it before; null elsewhere. */
async function ownDevice(
  c: Context<Env>,
  accounts: Accounts,
  email: string,
): Promise<string | null> {
  const { deviceSecret } = secretsOf(c, accounts.origin);
  if (deviceSecret === null) return null;
  const shown = digestOf(deviceSecret);
  const [device] = await rowsOf<{ id: string }>(
    c.var.db,
    sql`select d.id from devices d where (d.secret_hash = ${shown} or d.previous_hash = ${shown})
          and d.locked_out_at is null and exists (
            select from audit a join people p on p.id = a.person_id
            where a.project_id is null and a.device_id = d.id and a.code = 'signedIn'
              and p.email = ${email.toLowerCase()})`,
  );
  return device?.id ?? null;
}

/** @throws Problem 401 where e-mail or password is wrong, 429 where they were tried too often */
export async function signInByPassword(
  c: Context<Env>,
  accounts: Accounts,
  { email, password }: { email: string; password: string },
): Promise<SignedIn> {
  const { db } = c.var;
  await limitTries(db, `passwords from ${addressOf(c)}`, MOST_TRIES.address);
  const own = await ownDevice(c, accounts, email);
  // Whoever guesses elsewhere does not lock them out of their own device.
  const key = `password ${digestOf(email.toLowerCase())}${own === null ? '' : ` on ${own}`}`;
  await limitTries(db, key, MOST_TRIES.password);
  try {
    const signedIn = await beginSession(c, accounts, 'password', async (auth, headers) => {
      const { headers: set } = await auth.api.signInEmail({
        body: { email, password },
        headers,
        returnHeaders: true,
      });
      return set;
    });
    await forgetTries(db, key);
    return signedIn;
  } catch (error) {
    if (!(error instanceof APIError)) throw error;
    await appendAudit(db, { kind: 'anonymous', why: 'signedOut' }, { code: 'signInFailed', email });
    throw new Problem(401, say('wrongPassword'));
  }
}

/** A person who is signed in on a device, and whether a PIN lets them take their turn. */
export interface PersonHere {
  id: string;
  name: string;
  hasPin: boolean;
}

export const peopleHere = (db: Db, deviceId: string): Promise<PersonHere[]> =>
  rowsOf<PersonHere>(
    db,
    sql`select distinct p.id, p.name, k.person_id is not null as "hasPin"
        from sessions s join people p on p.id = s.person_id left join pins k on k.person_id = p.id
        where s.device_id = ${deviceId}::uuid and s.expires_at > now() order by p.name`,
  );

/**
 * Lets a person take their turn on a device on which they are signed in.
 * @throws Problem 401 where the PIN is wrong, 409 where there is none or they are not signed in here
 */
export async function switchByPin(
  c: Context<Env>,
  accounts: Accounts,
  { personId, pin }: { personId: string; pin: string },
): Promise<SignedIn> {
  const { db } = c.var;
  const { deviceId } = requirePerson(c.var.actor);
  const here = (await peopleHere(db, deviceId)).find(({ id }) => id === personId);
  if (!here) throw new Problem(409, say('notHere'));
  await checkPin(db, { personId, deviceId, pin });
  return beginSessionOf(c, accounts, 'pin', personId);
}

/** @throws Problem 401 where the PIN is wrong, 409 where there is none, 429 where it was tried too often */
async function checkPin(
  db: Db,
  { personId, deviceId, pin }: { personId: string; deviceId: string; pin: string },
): Promise<void> {
  const key = `pin ${personId} ${deviceId}`;
  await limitTries(db, key, MOST_TRIES.pin);
  const [held] = await db.select().from(pins).where(eq(pins.personId, personId));
  if (!held) throw new Problem(409, say('noPin'));
  if (!(await isSecret(held.hash, pin))) throw new Problem(401, say('wrongPin'));
  await forgetTries(db, key);
}

/** @throws Problem 401 where the password is wrong, 429 where it was tried too often */
async function checkPassword(db: Db, personId: string, password: string): Promise<void> {
  const key = `password of ${personId}`;
  await limitTries(db, key, MOST_TRIES.password);
  const [held] = await db.select().from(credentials).where(eq(credentials.personId, personId));
  if (!held?.password || !(await isSecret(held.password, password)))
    throw new Problem(401, say('wrongOwnPassword'));
  await forgetTries(db, key);
}

/**
 * Lets the person at the device sign records for some minutes, by their PIN or password: the phone may have changed hands.
 * @throws Problem 401 where it is wrong
 */
export async function confirm(
  db: Db,
  actor: Actor,
  by: { pin: string } | { password: string },
): Promise<void> {
  const { personId, deviceId, sessionId } = requirePerson(actor);
  if ('pin' in by) await checkPin(db, { personId, deviceId, pin: by.pin });
  else await checkPassword(db, personId, by.password);
  await db
    .update(sessions)
    .set({ confirmedAt: sql`now()` })
    .where(eq(sessions.id, sessionId));
}

/** Begins a session of a person of whom something else than a password has shown that it is them. */
export const beginSessionOf = (
  c: Context<Env>,
  accounts: Accounts,
  way: Way,
  personId: string,
): Promise<SignedIn> =>
  beginSession(c, accounts, way, async (auth, headers) => {
    const { headers: set } = await auth.api.signInAs({
      body: { personId },
      headers,
      returnHeaders: true,
    });
    return set;
  });

/** Ends the session of whoever asks. */
export async function endSession(db: Db, actor: Actor): Promise<void> {
  const { sessionId } = requirePerson(actor);
  await db.delete(sessions).where(eq(sessions.id, sessionId));
  await appendAudit(db, actor, { code: 'signedOut' });
}
