import { useEffect } from 'react';
import { takenNow } from './taken';

/** How old what is taken along may be before it is read anew, in ms. */
const RENEW_MS = 30 * 60_000;

const ageMs = (at: string | null): number => (at === null ? Infinity : Date.now() - Date.parse(at));

/** Reads anew what is taken along of a project, once it is old and there is a connection. */
export function useRenewTaken(projectId: string): void {
  useEffect(() => {
    let own: AbortController | null = null;
    const renew = () => {
      const taken = takenNow(projectId);
      if (!taken || own || !navigator.onLine || ageMs(taken.at) < RENEW_MS) return;
      own = new AbortController();
      const { signal } = own;
      // Not with the first view: it asks for much.
      void import('./takeAlong')
        .then(({ takeAlong }) => takeAlong(projectId, taken, signal, () => undefined))
        .catch(() => undefined)
        .finally(() => (own = null));
    };
    renew();
    const timer = setInterval(renew, RENEW_MS);
    window.addEventListener('online', renew);
    return () => {
      own?.abort();
      clearInterval(timer);
      window.removeEventListener('online', renew);
    };
  }, [projectId]);
}
