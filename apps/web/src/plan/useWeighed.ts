import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { PlanTask, Present, WeighedPlan } from '@cordel/core';
import type { PlanWeigher } from './plan.worker';

/** What a plan says and would change, worked out in a worker; the last answer stays until the next. */
export function useWeighed(task: PlanTask<Present> | null): WeighedPlan<Present> | null {
  const [worker] = useState(() => new Worker(new URL('./plan.worker', import.meta.url)));
  const weigher = useMemo(() => wrap<PlanWeigher>(worker), [worker]);
  const [weighed, setWeighed] = useState<WeighedPlan<Present> | null>(null);
  useEffect(() => () => worker.terminate(), [worker]);
  useEffect(() => {
    if (!task) return;
    let current = true;
    void weigher.weigh(task).then((found) => current && setWeighed(found));
    return () => {
      current = false;
    };
  }, [task, weigher]);
  return weighed;
}
