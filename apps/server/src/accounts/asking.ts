import { createHash } from 'node:crypto';
import { type Right, type Role, may } from '@cordel/core';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { Problem } from '../http/problem.ts';

/** A person who has signed in, on a device. */
export interface AskingPerson {
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
}

/** Who a request is from. */
export type Asking =
  /** Nobody signs in here: everybody may do all, and is who they say. */
  | { kind: 'open' }
  /** Nobody who has signed in, and why they are taken for none. */
  | { kind: 'stranger'; why: 'signedOut' | 'lockedOut' | 'otherDevice' | 'otherPerson' }
  | AskingPerson;

export const OPEN: Asking = { kind: 'open' };

/** What a browser sent along that says who it is. */
export interface Shown {
  /** The session's secret; null where it has none. */
  token: string | null;
  /** The device's secret; null where it has none. */
  deviceSecret: string | null;
  /** The person who made what is sent, where they need not be the one who is at the device now. */
  personId: string | null;
}

export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

interface SessionRow {
  sessionId: string;
  token: string;
  personId: string;
  name: string;
  ownsServer: boolean;
  deviceId: string | null;
  secretHash: string | null;
  lockedOutAt: string | null;
  roles: Record<string, Role>;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/**
 * Finds out who asks, by the secrets in its cookies. A session holds on the device alone that it was begun on: one that
 * turns up elsewhere was copied, and ends.
 */
export async function whoAsks(db: Db, { token, deviceSecret, personId }: Shown): Promise<Asking> {
  const deviceHash = deviceSecret === null ? null : sha256(deviceSecret);
  if (token === null) return { kind: 'stranger', why: await whyStranger(db, deviceHash) };
  const wanted = personId !== null && UUID.test(personId) ? personId : null;
  const rows = await rowsOf<SessionRow>(
    db,
    sql`select s.id as "sessionId", s.token, p.id as "personId", p.name, p.owns_server as "ownsServer",
          s.device_id as "deviceId", d.secret_hash as "secretHash",
          to_char(d.locked_out_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "lockedOutAt",
          coalesce((select jsonb_object_agg(m.project_id, m.role) from members m where m.person_id = p.id), '{}') as roles
        from sessions s join people p on p.id = s.person_id left join devices d on d.id = s.device_id
        where s.expires_at > now()
          and (s.token = ${token} or (d.secret_hash = ${deviceHash} and s.person_id = ${wanted}::uuid))`,
  );
  const current = rows.find((row) => row.token === token);
  if (!current) return { kind: 'stranger', why: await whyStranger(db, deviceHash) };
  if (current.secretHash !== deviceHash || current.deviceId === null) {
    await rowsOf(db, sql`delete from sessions where id = ${current.sessionId}::uuid`);
    return { kind: 'stranger', why: 'otherDevice' };
  }
  const row = personId === null ? current : rows.find((one) => one.personId === personId);
  if (!row) return { kind: 'stranger', why: 'otherPerson' };
  return {
    kind: 'person',
    personId: row.personId,
    name: row.name,
    ownsServer: row.ownsServer,
    sessionId: row.sessionId,
    deviceId: row.deviceId!,
    lockedOutAt: row.lockedOutAt,
    roles: new Map(Object.entries(row.roles)),
  };
}

async function whyStranger(db: Db, deviceHash: string | null): Promise<'signedOut' | 'lockedOut'> {
  if (deviceHash === null) return 'signedOut';
  const [locked] = await rowsOf(
    db,
    sql`select 1 from devices where secret_hash = ${deviceHash} and locked_out_at is not null`,
  );
  return locked ? 'lockedOut' : 'signedOut';
}

/** @throws Problem 401 where nobody has signed in */
export function personOf(asking: Asking): AskingPerson {
  if (asking.kind === 'person') return asking;
  throw new Problem(401, say(asking.kind === 'stranger' ? asking.why : 'noAccounts'));
}

/** Whether somebody has a right in a project. */
export const hasRight = (asking: Asking, projectId: string, right: Right): boolean => {
  if (asking.kind !== 'person') return asking.kind === 'open';
  const role = asking.roles.get(projectId);
  return asking.ownsServer || (role !== undefined && may(role, right));
};

/** Whether somebody has a right in any project. */
export const hasRightAnywhere = (asking: Asking, right: Right): boolean => {
  if (asking.kind !== 'person') return asking.kind === 'open';
  return asking.ownsServer || [...asking.roles.values()].some((role) => may(role, right));
};

/** @throws Problem 401 or 403 where somebody has not the right in a project */
export function requireRight(asking: Asking, projectId: string, right: Right): void {
  if (asking.kind === 'open') return;
  const person = personOf(asking);
  if (hasRight(person, projectId, right)) return;
  const role = person.roles.get(projectId);
  throw new Problem(403, role ? say('roleLacks', { role, right }) : say('noMember'));
}

/** The name that stands under what somebody did: the session's, whatever was sent. */
export const nameUnder = (asking: Asking, claimed: string): string =>
  asking.kind === 'person' ? asking.name : claimed;

/** The same entry, signed by whoever sends it. */
export const signedBy = <Entry extends { by: string }>(asking: Asking, entry: Entry): Entry => ({
  ...entry,
  by: nameUnder(asking, entry.by),
});
