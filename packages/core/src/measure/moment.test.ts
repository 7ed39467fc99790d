import { formatClock, formatDay, formatMomentInZone, formatOffset, onDayOf } from './moment.ts';

// Offsets by the IANA time zone database: Lisbon UTC+1 in summer, New York UTC-4, Kathmandu UTC+5:45.
describe('a moment by the clock of the work', () => {
  const at = '2026-07-04T23:30:00.000Z';

  it.each([
    ['UTC', '2026-07-04 23:30 UTC'],
    ['Europe/Lisbon', '2026-07-05 00:30 UTC+1'],
    ['America/New_York', '2026-07-04 19:30 UTC\u22124'],
    ['Asia/Kathmandu', '2026-07-05 05:15 UTC+5:45'],
  ])('in %s is %s', (zone, words) => expect(formatMomentInZone(at, zone)).toBe(words));

  it('agrees with Intl on days, nights and both changes of the clock', () => {
    const zones = ['Europe/Berlin', 'America/Denver', 'Australia/Lord_Howe', 'Asia/Kolkata'];
    for (const zone of zones)
      for (let hour = 0; hour < 365 * 24; hour += 7) {
        const moment = new Date(Date.UTC(2026, 0, 1, hour, 12));
        const intl = new Intl.DateTimeFormat('sv-SE', {
          timeZone: zone,
          dateStyle: 'short',
          timeStyle: 'short',
        }).format(moment);
        expect(`${formatDay(moment, zone)} ${formatClock(moment, zone)}`).toBe(intl);
      }
  });

  it('is found again from what the clock shows, also on the day it changes', () => {
    // Berlin goes from 02:00 to 03:00 on 2026-03-29, by the database.
    const day = new Date('2026-03-29T10:00:00.000Z');
    expect(onDayOf(day, 1, 30, 'Europe/Berlin').toISOString()).toBe('2026-03-29T00:30:00.000Z');
    expect(onDayOf(day, 3, 30, 'Europe/Berlin').toISOString()).toBe('2026-03-29T01:30:00.000Z');
    expect(formatOffset('2026-03-29T00:59:00Z', 'Europe/Berlin')).toBe('UTC+1');
    expect(formatOffset('2026-03-29T01:00:00Z', 'Europe/Berlin')).toBe('UTC+2');
  });
});
