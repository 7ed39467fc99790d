import { expose } from 'comlink';
import { type PlanTask, type Present, type WeighedPlan, weighPlan } from '@cordel/core';

/** Weighs plans off the page's own thread, so that typing stays smooth with thousands of fibers. */
const planWeigher = {
  weigh: (task: PlanTask<Present>): WeighedPlan<Present> => weighPlan(task),
};

export type PlanWeigher = typeof planWeigher;

expose(planWeigher);
