/** A moment as it is read: day and minute, of where the reader is. */
export const momentOf = (at: string): string =>
  new Date(at).toLocaleString([], {
    year: 'numeric',
    month: 'short',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

/** Hours and minutes of where the reader is. */
export const clockOf = (at: Date): string =>
  `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;

/** The next time a clock shows so, such as 22:00; within six hours after it, the last time. Null for no time. */
export function nextClock(text: string, now: Date): Date | null {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(text.trim());
  if (!match) return null;
  const at = new Date(now);
  at.setHours(Number(match[1]), Number(match[2]), 0, 0);
  const behind = now.getTime() - at.getTime();
  if (behind > 6 * 3_600_000) at.setDate(at.getDate() + 1);
  if (behind < -18 * 3_600_000) at.setDate(at.getDate() - 1);
  return at;
}
