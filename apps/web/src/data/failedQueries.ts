import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useSyncExternalStore } from 'react';

/** Errors that a part of the page shows in its own place. */
const shown = new Map<Error, number>();
const listeners = new Set<() => void>();
const tell = () => listeners.forEach((listener) => listener());

/** Says that an error is shown where its answer would stand. */
export function useShownError(error: Error | null): void {
  useEffect(() => {
    if (!error) return;
    shown.set(error, (shown.get(error) ?? 0) + 1);
    tell();
    return () => {
      const left = shown.get(error)! - 1;
      if (left > 0) shown.set(error, left);
      else shown.delete(error);
      tell();
    };
  }, [error]);
}

/** The first error of a query that the page waits for, has no answer of, and shows nowhere; null for none. */
export function useFailedQuery(): { error: Error | null; again(): void } {
  const client = useQueryClient();
  const cache = client.getQueryCache();
  const failed = useCallback(
    () =>
      cache.findAll({
        type: 'active',
        predicate: ({ state }) =>
          state.status === 'error' &&
          state.data === undefined &&
          state.fetchStatus !== 'fetching' &&
          !shown.has(state.error!),
      }),
    [cache],
  );
  const error = useSyncExternalStore(
    useCallback(
      (listener) => {
        listeners.add(listener);
        const stop = cache.subscribe(listener);
        return () => {
          listeners.delete(listener);
          stop();
        };
      },
      [cache],
    ),
    () => failed()[0]?.state.error ?? null,
  );
  return { error, again: () => failed().forEach((query) => void query.fetch()) };
}
