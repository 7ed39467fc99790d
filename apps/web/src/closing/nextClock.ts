import { onDayOf } from '@cordel/core';

const HOUR_MS = 3_600_000;

/**
 * The next time a clock of the zone shows so, such as 22:00; within six hours after it, the last time.
 * Null for no time.
 */
export function nextClock(text: string, now: Date, timeZone: string): Date | null {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(text.trim());
  if (!match) return null;
  const onDay = (days: number) =>
    onDayOf(
      new Date(now.getTime() + days * 24 * HOUR_MS),
      Number(match[1]),
      Number(match[2]),
      timeZone,
    );
  const at = onDay(0);
  const behind = now.getTime() - at.getTime();
  if (behind > 6 * HOUR_MS) return onDay(1);
  if (behind < -18 * HOUR_MS) return onDay(-1);
  return at;
}
