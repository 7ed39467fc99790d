import { momentAt } from './moment.ts';

/** In which order day and month stand in `5/4/2026`. */
export type DateOrder = 'mdy' | 'dmy';

const ISO_WITH_ZONE = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(?::\d\d(?:\.\d+)?)?\s*(?:Z|[+-]\d\d:?\d\d)$/i;
const YEAR_FIRST = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/;
const YEAR_LAST = /^(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})$/;
const MONTH_WORD = /^(\d{1,2})[- ]([a-z]{3})[a-z]*[- ,]+(\d{4}|\d{2})$/i;
const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const CLOCK = /^(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d+)?)?\s*([ap])?\.?m?\.?$/i;

/** Year, month and day, each from 1. */
type Day = [year: number, month: number, day: number];

function readDay(text: string, order: DateOrder): Day | null {
  const first = YEAR_FIRST.exec(text);
  if (first) return [Number(first[1]), Number(first[2]), Number(first[3])];
  const word = MONTH_WORD.exec(text);
  if (word) {
    const month = MONTHS.indexOf(word[2]!.toLowerCase()) + 1;
    return [yearOf(word[3]!), month, Number(word[1])];
  }
  const last = YEAR_LAST.exec(text);
  if (!last) return null;
  const [one, other] = [Number(last[1]), Number(last[3])];
  // Days stand first where dots part them.
  const isDayFirst = last[2] === '.' || order === 'dmy';
  return [yearOf(last[4]!), isDayFirst ? other : one, isDayFirst ? one : other];
}

const yearOf = (text: string): number => Number(text) + (text.length === 2 ? 2000 : 0);

/** Hours, minutes and seconds. */
function readClock(text: string): [number, number, number] | null {
  const found = CLOCK.exec(text);
  if (!found) return null;
  const [hours, minutes, seconds] = [Number(found[1]), Number(found[2]), Number(found[3] ?? 0)];
  if (minutes > 59 || seconds > 59) return null;
  const half = found[4]?.toLowerCase();
  if (half === undefined) return hours > 23 ? null : [hours, minutes, seconds];
  if (hours < 1 || hours > 12) return null;
  return [(hours % 12) + (half === 'p' ? 12 : 0), minutes, seconds];
}

/** Whether `5/4/2026` stands for two days, and which other dates of the file say which. */
export function dateOrderOf(texts: readonly string[]): DateOrder | 'either' | null {
  let isOpen = false;
  for (const text of texts) {
    const found = YEAR_LAST.exec(dayPart(text));
    if (!found || found[2] === '.') continue;
    if (Number(found[1]) > 12) return 'dmy';
    if (Number(found[3]) > 12) return 'mdy';
    isOpen ||= found[1] !== found[3];
  }
  return isOpen ? 'either' : null;
}

/** What stands before the hours. */
const dayPart = (text: string): string =>
  text
    .trim()
    .replace(/[T\s]+\d{1,2}:\d\d.*$/i, '')
    .replace(/,$/, '');

/**
 * Reads a day and a time as instruments and people write them, by the clock of a time zone where they name none:
 * `2026-05-04 20:15:00`, `5/4/2026 8:15 PM`, `04.05.2026 20:15`, `4-May-2026 20:15`.
 * @returns the moment in ISO 8601, UTC; null where it is none
 */
export function readWrittenTime(
  text: string,
  { timeZone, order }: { timeZone: string; order: DateOrder },
): string | null {
  const trimmed = text.trim();
  if (ISO_WITH_ZONE.test(trimmed)) {
    const moment = new Date(trimmed.replace(/\s+(?=Z|[+-]\d\d:?\d\d$)/i, '').replace(' ', 'T'));
    return Number.isNaN(moment.getTime()) ? null : moment.toISOString();
  }
  const written = dayPart(trimmed);
  const day = readDay(written, order);
  const clock = readClock(trimmed.slice(written.length).replace(/^[,T\s]+/i, ''));
  if (!day || !clock) return null;
  const [year, month, date] = day;
  const wall = new Date(Date.UTC(year, month - 1, date, ...clock));
  // A day that no month has would be carried into the next.
  if (wall.getUTCMonth() !== month - 1 || wall.getUTCDate() !== date) return null;
  return momentAt(wall, timeZone).toISOString();
}
