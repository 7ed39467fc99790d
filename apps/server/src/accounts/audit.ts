import type { Role } from '@cordel/core';
import type { Db } from '../db/client.ts';
import { audit } from '../db/schema.ts';
import type { Actor } from './actor.ts';

/** What the audit trail tells of. */
export type AuditEvent =
  | { code: 'signedIn'; way: 'password' | 'pin' | 'passkey' | 'invitation' }
  | { code: 'signInFailed'; email: string }
  | { code: 'signedOut' }
  | { code: 'passwordChanged' }
  | { code: 'sessionEnded'; sessionId: string }
  | { code: 'deviceLockedOut'; deviceId: string; name: string }
  | { code: 'invited'; role: Role; note: string }
  | { code: 'invitationTakenBack'; note: string }
  | { code: 'joined'; name: string; role: Role }
  | { code: 'roleChanged'; name: string; from: Role; to: Role }
  | { code: 'roleTaken'; name: string; from: Role }
  | { code: 'projectAdded'; name: string }
  | { code: 'projectImported'; name: string }
  | { code: 'projectChanged'; parts: string[] }
  | ({ code: 'planSaved'; closureId: string; closure: string } & PlanCounts)
  | { code: 'listImported'; splices: number; closures: number; cables: number }
  | { code: 'exported'; what: string }
  | { code: 'backedUp' };

/** Splices that a saved plan added, moved and removed; `retired` are those that were made. */
interface PlanCounts {
  added: number;
  moved: number;
  dropped: number;
  retired: number;
}

/** Whom an event is of, where it is not whoever asks. */
interface Whom {
  projectId?: string | null;
  personId?: string;
  deviceId?: string;
}

/** Appends to the audit trail. Nothing is written where nobody signs in. */
export async function appendAudit(
  db: Pick<Db, 'insert'>,
  actor: Actor,
  { code, ...parameters }: AuditEvent,
  { projectId = null, personId, deviceId }: Whom = {},
): Promise<void> {
  if (actor.kind === 'open') return;
  const own = actor.kind === 'person' ? actor : null;
  await db.insert(audit).values({
    code,
    parameters,
    projectId,
    personId: personId ?? own?.personId ?? null,
    deviceId: deviceId ?? own?.deviceId ?? null,
  });
}
