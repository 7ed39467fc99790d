import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { PlanTask, Present, EvaluatedPlan } from '@cordel/core';
import type { PlanEvaluator } from './plan.worker';

/** What a plan says and would change, worked out in a worker; the last answer stays until the next. */
export function useEvaluatedPlan(task: PlanTask<Present> | null): EvaluatedPlan<Present> | null {
  const [worker] = useState(() => new Worker(new URL('./plan.worker', import.meta.url)));
  const evaluator = useMemo(() => wrap<PlanEvaluator>(worker), [worker]);
  const [evaluated, setEvaluated] = useState<EvaluatedPlan<Present> | null>(null);
  useEffect(() => () => worker.terminate(), [worker]);
  useEffect(() => {
    if (!task) return;
    let current = true;
    void evaluator.evaluate(task).then((found) => current && setEvaluated(found));
    return () => {
      current = false;
    };
  }, [task, evaluator]);
  return evaluated;
}
