import type { ShownTrace } from './view.worker';

/** A trace as it is shown on its circuit. */
export const shownOf = (
  trace: { id: string; direction: 'AB' | 'BA'; startM: number; indexRatio: number },
  lengthM: number,
): ShownTrace => ({
  id: trace.id,
  back: trace.direction === 'BA',
  startM: trace.startM,
  indexRatio: trace.indexRatio,
  lengthM,
});
