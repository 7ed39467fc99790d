/** What is waited for at the bench. */
export const TIMER_KINDS = ['heater', 'cooling', 'adhesive', 'warm-up'] as const;
export type TimerKind = (typeof TIMER_KINDS)[number];

/**
 * A timer by the moments it stands between, so that a reload or a phone that slept changes nothing.
 * Moments in ms since 1970.
 */
export interface BenchTimer {
  id: string;
  /** Where it was started. */
  projectId: string;
  closureId: string;
  closure: string;
  kind: TimerKind;
  /** What lies in it, such as `A 86`. */
  label: string;
  startedAt: number;
  seconds: number;
  /** Seconds of cooling that follow of themselves; 0 where none do. */
  cool: number;
}

export interface TimerState {
  phase: TimerKind | 'done';
  /** Whole seconds left of the phase, rounded up; seconds since it ended where it is done. */
  seconds: number;
}

/** Where a timer stands. A clock that was set back shows it whole, not longer. */
export function timerAt(timer: BenchTimer, now: number): TimerState {
  const gone = Math.max(0, (now - timer.startedAt) / 1000);
  if (gone < timer.seconds) return { phase: timer.kind, seconds: Math.ceil(timer.seconds - gone) };
  const cooling = timer.seconds + timer.cool - gone;
  if (cooling > 0) return { phase: 'cooling', seconds: Math.ceil(cooling) };
  return { phase: 'done', seconds: Math.floor(gone - timer.seconds - timer.cool) };
}

/** The moment at which a timer next changes its phase, or null where it is done. */
export function nextRing(timer: BenchTimer, now: number): number | null {
  const heated = timer.startedAt + timer.seconds * 1000;
  if (now < heated) return heated;
  const cooled = heated + timer.cool * 1000;
  return now < cooled ? cooled : null;
}

/** Such as `0:14`. */
export const clockOf = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
