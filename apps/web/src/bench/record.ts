import { v7 as uuid } from 'uuid';
import type { Evidence, Stamp } from '@cordel/core';
import { commands } from '@cordel/client';
import { outbox } from '@/data/client';
import { personNow } from '@/data/session';

/** Signs an entry that is made now on this device. */
export const newStamp = (): Stamp => ({
  id: uuid(),
  by: personNow(),
  at: new Date().toISOString(),
});

/** Records evidence through the outbox. */
export function recordEvidence(entries: readonly Evidence[], label: string): void {
  void outbox.add(commands.recordEvidence, { entries: [...entries] }, label);
}
