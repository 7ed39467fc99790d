import { useCallback, useEffect, useRef, useState } from 'react';
import { errorText } from '@cordel/text/record';
import { usePersisted } from '@/data/storage';
import { takeAlong } from './takeAlong';
import { TAKEN_KEY, type Wish, leaveBehind, readTaken } from './taken';

/** What of a project is taken along, and the ways to take it, renew it and leave it. */
export function useTakeAlong(projectId: string) {
  const [text] = usePersisted(TAKEN_KEY, '{}');
  const taken = readTaken(text)[projectId] ?? null;
  const [state, setState] = useState<{
    progress: { done: number; total: number } | null;
    problem: string | null;
  }>({ progress: null, problem: null });
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const take = useCallback(
    async (wish: Wish) => {
      running.current?.abort();
      const own = new AbortController();
      running.current = own;
      setState({ progress: { done: 0, total: 0 }, problem: null });
      try {
        await takeAlong(projectId, wish, own.signal, (done, total) =>
          setState({ progress: { done, total }, problem: null }),
        );
        setState({ progress: null, problem: null });
      } catch (error) {
        if (own.signal.aborted) return setState({ progress: null, problem: null });
        setState({ progress: null, problem: errorText(error as Error) });
      }
    },
    [projectId],
  );
  return {
    taken,
    ...state,
    take,
    stop: () => running.current?.abort(),
    leave: () => leaveBehind(projectId),
  };
}
