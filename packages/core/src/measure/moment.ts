import { tzOffset } from '@date-fns/tz/tzOffset';

const MINUTE_MS = 60_000;

/** A moment with the figures of the zone's clock, as if they were UTC. */
const local = (at: string | Date, timeZone: string): Date => {
  const moment = new Date(at);
  return new Date(moment.getTime() + tzOffset(timeZone, moment) * MINUTE_MS);
};

/** The day by the clock of a time zone: `2026-05-04`. */
export const formatDay = (at: string | Date, timeZone: string): string =>
  local(at, timeZone).toISOString().slice(0, 10);

/** Hours and minutes by the clock of a time zone: `21:30`. */
export const formatClock = (at: string | Date, timeZone: string): string =>
  local(at, timeZone).toISOString().slice(11, 16);

/** Day and minute by the clock of a time zone: `2026-05-04 21:30`. */
export const formatMoment = (at: string | Date, timeZone: string): string =>
  `${formatDay(at, timeZone)} ${formatClock(at, timeZone)}`;

/** How far a time zone's clock is ahead of UTC at a moment: `UTC`, `UTC+2`, `UTC\u22124:30`. */
export function formatOffset(at: string | Date, timeZone: string): string {
  const minutes = tzOffset(timeZone, new Date(at));
  if (minutes === 0) return 'UTC';
  const [hours, rest] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60];
  const clock = rest === 0 ? `${hours}` : `${hours}:${String(rest).padStart(2, '0')}`;
  return `UTC${minutes > 0 ? '+' : '\u2212'}${clock}`;
}

/** Day, minute and offset, for what is read elsewhere: `2026-05-04 21:30 UTC+2`. */
export const formatMomentInZone = (at: string | Date, timeZone: string): string =>
  `${formatMoment(at, timeZone)} ${formatOffset(at, timeZone)}`;

/** The moment at which a zone's clock shows hours and minutes on the day of another moment. */
export function onDayOf(day: Date, hours: number, minutes: number, timeZone: string): Date {
  const shown = local(day, timeZone);
  shown.setUTCHours(hours, minutes, 0, 0);
  return momentAt(shown, timeZone);
}

/**
 * The moment at which a zone's clock shows what a date has as UTC. Of an hour that the clock shows twice, the
 * first; one that it leaps over, an hour later.
 */
export function momentAt(shown: Date, timeZone: string): Date {
  // The offset may change during the day: that of the moment itself counts.
  const guess = new Date(shown.getTime() - tzOffset(timeZone, shown) * MINUTE_MS);
  return new Date(shown.getTime() - tzOffset(timeZone, guess) * MINUTE_MS);
}
