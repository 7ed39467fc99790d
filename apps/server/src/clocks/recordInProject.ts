import type { Actor } from '../accounts/actor.ts';
import { keepReceipts } from '../accounts/receipts.ts';
import { inOneTransaction } from '../db/oneTransaction.ts';
import type { Db } from '../db/client.ts';
import { recordByServerClock } from './correct.ts';

interface Entry {
  id: string;
  at: string;
  by: string;
}

/**
 * Records entries of one project by our clock, and keeps from whom they came.
 * @param append appends them, all or none
 */
export const recordInProject = <Of extends Entry>(
  context: { db: Db; actor: Actor; clockOffMs: number },
  projectId: string,
  entries: readonly Of[],
  append: (db: Db, entries: Of[]) => Promise<unknown>,
): Promise<void> =>
  recordByServerClock(
    context,
    entries,
    async () => entries.map(() => projectId),
    (db, ours) =>
      inOneTransaction(db, async (on) => {
        await append(on, ours);
        await keepReceipts(on, context.actor, projectId, ours);
      }),
  );
