import { type Right, type Role, may } from '@cordel/core';
import { digestOf } from '@cordel/core/close';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { sql } from 'drizzle-orm';
import { validate as isUuid } from 'uuid';
import { type Db, rowsOf } from '../db/client.ts';
import { Problem } from '../http/problem.ts';

/** A person who has signed in, on a device. */
export interface SignedInPerson {
  kind: 'person';
  personId: string;
  name: string;
  ownsServer: boolean;
  sessionId: string;
  deviceId: string;
  /** When the device was locked out, where it was: what was made on it before is marked. */
  lockedOutAt: string | null;
  /** What the person is in projects, by their ids. */
  roles: ReadonlyMap<string, Role>;
  /** True where another person is at the device now: what this one recorded before is sent, and nothing else. */
  isAway: boolean;
  /** True where the person has just typed their PIN or password to sign a record. */
  isConfirmed: boolean;
}

/** Who a request is from. */
export type Actor =
  /** Nobody signs in here: everybody may do all, and is who they say. */
  | { kind: 'open' }
  /** Nobody who has signed in, and why they are taken for none. */
  | { kind: 'anonymous'; why: 'signedOut' | 'lockedOut' | 'otherDevice' | 'otherPerson' }
  | SignedInPerson;

export const OPEN: Actor = { kind: 'open' };

/** What a browser sent along that says who it is. */
export interface RequestSecrets {
  /** The session's secret; null where it has none. */
  token: string | null;
  /** The device's secret; null where it has none. */
  deviceSecret: string | null;
  /** The person who made what is sent, where they need not be the one who is at the device now. */
  personId: string | null;
  /** What shows that they were at the device; null where nothing does. */
  proof: string | null;
}

interface SessionRow {
  sessionId: string;
  token: string;
  personId: string;
  name: string;
  ownsServer: boolean;
  deviceId: string | null;
  secretHash: string | null;
  previousHash: string | null;
  /** The secret was made long enough ago for every answer that brought it to have come. */
  isSettled: boolean;
  proofHash: string | null;
  isProven: boolean;
  isConfirmed: boolean;
  lockedOutAt: string | null;
  roles: Record<string, Role>;
}

/**
 * Finds out who asks, by the secrets in its cookies. A session holds on the device alone that it was begun on: one that
 * turns up elsewhere was copied, and ends. Somebody else than whoever is at the device is believed to have made what is
 * sent only with their own proof.
 */
export async function authenticate(
  db: Db,
  { token, deviceSecret, personId, proof }: RequestSecrets,
): Promise<Actor> {
  const deviceHash = deviceSecret === null ? null : digestOf(deviceSecret);
  if (token === null) return { kind: 'anonymous', why: await whyAnonymous(db, deviceHash) };
  const wanted = personId !== null && isUuid(personId) ? personId : null;
  const rows = (
    await rowsOf<{ row: SessionRow }>(
      db,
      sql`select find_sessions(${token}, ${wanted}::uuid) as row`,
    )
  ).map(({ row }) => row);
  const current = rows.find((row) => row.token === token);
  if (!current) return { kind: 'anonymous', why: await whyAnonymous(db, deviceHash) };
  const isOurs =
    deviceHash !== null &&
    (current.secretHash === deviceHash || current.previousHash === deviceHash);
  if (!isOurs) {
    await rowsOf(db, sql`delete from sessions where id = ${current.sessionId}::uuid`);
    return { kind: 'anonymous', why: 'otherDevice' };
  }
  if (current.previousHash !== null && current.secretHash === deviceHash && current.isSettled)
    await rowsOf(
      db,
      sql`update devices set previous_hash = null
          where id = ${current.deviceId}::uuid and secret_hash = ${deviceHash}`,
    );
  const isAway = personId !== null && personId !== current.personId;
  const row = isAway ? rows.find((one) => one.personId === personId) : current;
  const proofHash = proof === null ? null : digestOf(proof);
  if (!row || (isAway && !(row.isProven && row.proofHash === proofHash)))
    return { kind: 'anonymous', why: 'otherPerson' };
  return {
    kind: 'person',
    personId: row.personId,
    name: row.name,
    ownsServer: row.ownsServer,
    sessionId: row.sessionId,
    deviceId: row.deviceId!,
    lockedOutAt: row.lockedOutAt,
    roles: new Map(Object.entries(row.roles)),
    isAway,
    isConfirmed: row.isConfirmed && !isAway,
  };
}

async function whyAnonymous(db: Db, deviceHash: string | null): Promise<'signedOut' | 'lockedOut'> {
  if (deviceHash === null) return 'signedOut';
  const [locked] = await rowsOf(
    db,
    sql`select 1 from devices where (secret_hash = ${deviceHash} or previous_hash = ${deviceHash}) and locked_out_at is not null`,
  );
  return locked ? 'lockedOut' : 'signedOut';
}

/** What is sent for a person while another is at the device: what was read, seen and done there, no decisions. */
const RIGHTS_WHILE_AWAY: readonly Right[] = ['read', 'inspect', 'record'];

/**
 * Whoever made what is sent, at the device or away from it.
 * @throws Problem 401 where nobody has signed in
 */
export function requireMaker(actor: Actor): SignedInPerson {
  if (actor.kind === 'person') return actor;
  throw new Problem(401, say(actor.kind === 'anonymous' ? actor.why : 'noAccounts'));
}

/** @throws Problem 401 where nobody has signed in, or another person is at the device */
export function requirePerson(actor: Actor): SignedInPerson {
  const person = requireMaker(actor);
  if (person.isAway) throw new Problem(401, say('otherPerson'));
  return person;
}

/** @throws Problem 401 where a person has not just typed their PIN or password: what they sign is theirs */
export function requireConfirmed(actor: Actor): void {
  if (actor.kind === 'open') return;
  if (!requirePerson(actor).isConfirmed) throw new Problem(401, say('notConfirmed'));
}

const isWithin = (person: SignedInPerson, right: Right): boolean =>
  !person.isAway || RIGHTS_WHILE_AWAY.includes(right);

/** Whether somebody has a right in a project. */
export const hasRight = (actor: Actor, projectId: string, right: Right): boolean => {
  if (actor.kind !== 'person') return actor.kind === 'open';
  const role = actor.roles.get(projectId);
  return isWithin(actor, right) && (actor.ownsServer || (role !== undefined && may(role, right)));
};

/** Whether somebody has a right in any project. */
export const hasRightAnywhere = (actor: Actor, right: Right): boolean => {
  if (actor.kind !== 'person') return actor.kind === 'open';
  const has = actor.ownsServer || [...actor.roles.values()].some((role) => may(role, right));
  return isWithin(actor, right) && has;
};

/** @throws Problem 401 or 403 where somebody has not the right in a project */
export function requireRight(actor: Actor, projectId: string, right: Right): void {
  if (actor.kind === 'open') return;
  const person = requireMaker(actor);
  if (hasRight(person, projectId, right)) return;
  // They may have it once they are there themselves.
  if (!isWithin(person, right)) requirePerson(person);
  const role = person.roles.get(projectId);
  throw new Problem(403, role ? say('roleLacks', { role, right }) : say('noMember'));
}

/** The name that stands under what somebody did: the session's, whatever was sent. */
export const signedName = (actor: Actor, claimed: string): string =>
  actor.kind === 'person' ? actor.name : claimed;

/** The same entry, signed by whoever sends it. */
export const signedBy = <Entry extends { by: string }>(actor: Actor, entry: Entry): Entry => ({
  ...entry,
  by: signedName(actor, entry.by),
});
