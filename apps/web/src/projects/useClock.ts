import { formatClock, formatMoment } from '@cordel/core';
import { useProjectView } from './context';

/** Moments by the clock of the project. */
export function useClock() {
  const { timeZone } = useProjectView().project.units;
  return {
    timeZone,
    /** `2026-05-04 21:30` */
    moment: (at: string) => formatMoment(at, timeZone),
    /** `21:30`; ms since 1970 */
    clock: (ms: number) => formatClock(new Date(ms), timeZone),
  };
}
