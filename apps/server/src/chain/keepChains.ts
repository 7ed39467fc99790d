import type { Db } from '../db/client.ts';
import type { Notices } from '../db/notices.ts';
import { sealChain } from './chain.ts';

const MINUTE_MS = 60_000;

/**
 * Chains what is recorded, some time after: whoever records does not wait for it.
 * @param onError told of what is tried again a minute later
 */
export function keepChains(
  db: Db,
  notices: Notices,
  onError: (error: unknown) => void,
): { end(): void } {
  const due = new Set<string>();
  const endListening = notices.listen((projectId) => projectId && due.add(projectId));
  let isBusy = false;
  const work = async () => {
    if (isBusy) return;
    isBusy = true;
    for (const projectId of due) {
      due.delete(projectId);
      await sealChain(db, projectId).catch((error: unknown) => {
        due.add(projectId);
        onError(error);
      });
      if (due.has(projectId)) break;
    }
    isBusy = false;
  };
  const timer = setInterval(() => void work(), MINUTE_MS);
  timer.unref();
  return {
    end: () => {
      clearInterval(timer);
      endListening();
    },
  };
}
