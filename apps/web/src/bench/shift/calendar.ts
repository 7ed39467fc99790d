import ICAL from 'ical.js';
import type { ShiftOutcome, ShiftSetting, Timeline } from '@cordel/core/shift';
import { shiftUnitText } from '@cordel/text/bench';
import { calendar as t } from '@cordel/text/pages/bench/calendar';

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
export function shiftCalendar(task: CalendarTask): string {
  const { closure, start, setting, outcome, timeline, now } = task;
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Cordel//Shift//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  const at = (seconds: number) => new Date(start + Math.round(seconds) * 1000);
  const add = (id: string, summary: string, from: number, to: number, description = '') => {
    const component = new ICAL.Component('vevent');
    const event = new ICAL.Event(component);
    event.uid = `${start}-${id}@cordel`;
    event.summary = summary;
    event.startDate = ICAL.Time.fromJSDate(at(from), true);
    event.endDate = ICAL.Time.fromJSDate(at(to), true);
    if (description !== '') event.description = description;
    component.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(now), true));
    calendar.addSubcomponent(component);
  };
  add(
    'window',
    t('splicingWindowClosure', { closure }),
    0,
    setting.window * 60,
    t('likelyFinishNineInTenBy', {
      likely: at(outcome.finish.p50).toISOString(),
      latest: at(outcome.finish.p90).toISOString(),
      inWindow: Math.round(outcome.inWindow * 100),
    }),
  );
  timeline.units.forEach(({ label, from, to }, index) =>
    add(`unit-${index}`, `${closure}: ${label}`, from, to),
  );
  setting.breaks.forEach(({ at: from, length }, index) =>
    add(`break-${index}`, t('break'), from * 60, (from + length) * 60),
  );
  outcome.lastStart.forEach(({ unit, at: last }, index) => {
    if (last > 0)
      add(
        `last-${index}`,
        t('lastSafeMomentToBegin', { shiftUnit: shiftUnitText(unit) }),
        last,
        last + 300,
      );
  });
  return `${calendar.toString()}\r\n`;
}
