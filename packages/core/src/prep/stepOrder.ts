import type { PrepWork } from '../record/procedure.ts';
import type { PrepStep } from './steps.ts';

/** Works that cut into a cable or open it: the cable is known by then, and its metal is safe. */
const CUTS: ReadonlySet<PrepWork | null> = new Set<PrepWork>([
  'tracer',
  'access',
  'ring',
  'sheath',
  'edges',
  'split',
  'strength',
  'strengthLong',
  'centralTube',
  'dropTube',
  'score',
  'coreStrip',
]);

/** Works without which nothing is cut. */
const GUARDS: ReadonlySet<PrepWork | null> = new Set<PrepWork>(['rightCable', 'voltage']);

const cutUnit = ({ message }: PrepStep): number | null =>
  message.code === 'dedicateUnit' || message.code === 'windowTube' ? message.number : null;

/**
 * Steps that can be ticked together by somebody who did them without the list: they ask for nothing, warn of nothing,
 * cut nothing, and nothing that protects a person depends on them.
 */
export const plainSteps = (steps: readonly PrepStep[], ticked: ReadonlySet<string>): PrepStep[] =>
  steps.filter(
    (step) =>
      !ticked.has(step.key) &&
      step.asks.length === 0 &&
      step.timerS === null &&
      !step.photo &&
      step.caution === null &&
      !CUTS.has(step.work) &&
      !GUARDS.has(step.work) &&
      cutUnit(step) === null &&
      step.message.code !== 'dark',
  );

/**
 * Steps that must be done before another one, because a person or a live fiber depends on it: the right cable and metal
 * that was tested before anything is cut, and a tube or ribbon that is proven dark before it is cut.
 * @param steps all steps of the cable, in their order
 * @param ticked keys of the steps that are done
 * @returns those that are not done yet, in their order; empty where nothing holds the step back
 */
export function missingBefore(
  steps: readonly PrepStep[],
  ticked: ReadonlySet<string>,
  key: string,
): PrepStep[] {
  const at = steps.findIndex((step) => step.key === key);
  const step = steps[at];
  if (!step) return [];
  const unit = cutUnit(step);
  const isCut = CUTS.has(step.work) || unit !== null;
  return steps.slice(0, at).filter((before) => {
    if (ticked.has(before.key)) return false;
    if (isCut && GUARDS.has(before.work)) return true;
    return unit !== null && before.message.code === 'dark' && before.message.number === unit;
  });
}
