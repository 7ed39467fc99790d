import ical from 'ical-generator';
import type { ShiftOutcome, ShiftSetting, Timeline } from '@cordel/core';

interface CalendarTask {
  closure: string;
  /** Ms since 1970. */
  start: number;
  setting: ShiftSetting;
  outcome: ShiftOutcome;
  timeline: Timeline;
  now: number;
}

/** The planned shift as iCalendar (RFC 5545): window, tubes, breaks and the last moments to begin one. */
export function shiftCalendar({
  closure,
  start,
  setting,
  outcome,
  timeline,
  now,
}: CalendarTask): string {
  const calendar = ical({ name: `Splicing at ${closure}`, prodId: '//Cordel//Shift//EN' });
  const at = (seconds: number) => new Date(start + Math.round(seconds) * 1000);
  const add = (id: string, summary: string, from: number, to: number, description = '') =>
    calendar.createEvent({
      id: `${start}-${id}@cordel`,
      stamp: new Date(now),
      start: at(from),
      end: at(to),
      summary,
      ...(description ? { description } : {}),
    });
  add(
    'window',
    `Splicing window: ${closure}`,
    0,
    setting.window * 60,
    `Likely finish ${at(outcome.finish.p50).toISOString()}, nine in ten by ${at(outcome.finish.p90).toISOString()}. Done within the window with ${Math.round(outcome.inWindow * 100)} %.`,
  );
  timeline.units.forEach(({ label, from, to }, index) =>
    add(`unit-${index}`, `${closure}: ${label}`, from, to),
  );
  setting.breaks.forEach(({ at: from, length }, index) =>
    add(`break-${index}`, 'Break', from * 60, (from + length) * 60),
  );
  for (const { label, at: last } of outcome.lastStart)
    if (last > 0) add(`last-${label}`, `Last safe moment to begin ${label}`, last, last + 300);
  return calendar.toString();
}
