import { expose } from 'comlink';
import { type PlanTask, type Present, type EvaluatedPlan, evaluatePlan } from '@cordel/core';

/** Weighs plans off the page's own thread, so that typing stays smooth with thousands of fibers. */
const planWeigher = {
  evaluate: (task: PlanTask<Present>): EvaluatedPlan<Present> => evaluatePlan(task),
};

export type PlanEvaluator = typeof planWeigher;

expose(planWeigher);
