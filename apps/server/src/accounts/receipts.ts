import { sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import type { Actor } from './actor.ts';

/** From whom an entry comes, and from which device. */
export interface Receipt {
  personId: string;
  deviceId: string;
  /** In which project the right to send it was asked for, where that is known. */
  projectId?: string | undefined;
  /** When the device was locked out, where it was. */
  lockedOutAt: string | null;
}

/** What stands beside what somebody sends; nothing where nobody signs in. */
export const receiptOf = (actor: Actor): Receipt | undefined =>
  actor.kind === 'person'
    ? { personId: actor.personId, deviceId: actor.deviceId, lockedOutAt: actor.lockedOutAt }
    : undefined;

/**
 * Keeps from whom entries came, and when: of an entry that came before, the first time. Whoever sends entries again after
 * a cut has them kept then.
 */
export async function keepReceipts(
  db: Db,
  actor: Actor,
  projectId: string,
  entries: readonly { id: string; at?: string }[],
): Promise<void> {
  const receipt = receiptOf(actor);
  if (!receipt || entries.length === 0) return;
  const named = entries.map(({ id, at = null }) => ({ id, at }));
  await rowsOf(
    db,
    sql`insert into receipts (entry_id, project_id, person_id, device_id, after_lockout)
        select id, ${projectId}::uuid, ${receipt.personId}::uuid, ${receipt.deviceId}::uuid,
          coalesce(at < ${receipt.lockedOutAt}::timestamptz, false)
        from jsonb_to_recordset(${JSON.stringify(named)}::jsonb) as entry(id uuid, at timestamptz)
        on conflict do nothing`,
  );
}
