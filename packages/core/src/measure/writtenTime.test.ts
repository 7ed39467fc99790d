import fc from 'fast-check';
import { dateOrderOf, readWrittenTime } from './writtenTime.ts';

const at = (text: string, order: 'mdy' | 'dmy' = 'mdy', timeZone = 'UTC') =>
  readWrittenTime(text, { timeZone, order });

describe('a time as it is written', () => {
  // ISO 8601 and the forms that spreadsheets of both sides of the ocean write (common practice, no source).
  it.each([
    ['2026-05-04T20:15:00Z', '2026-05-04T20:15:00.000Z'],
    ['2026-05-04T20:15:00-05:00', '2026-05-05T01:15:00.000Z'],
    ['2026-05-04 20:15', '2026-05-04T20:15:00.000Z'],
    ['2026/5/4 20:15:09', '2026-05-04T20:15:09.000Z'],
    ['5/4/2026 8:15 PM', '2026-05-04T20:15:00.000Z'],
    ['5/4/2026, 12:15:30 am', '2026-05-04T00:15:30.000Z'],
    ['05/04/26 20:15', '2026-05-04T20:15:00.000Z'],
    ['04.05.2026 20:15', '2026-05-04T20:15:00.000Z'],
    ['4-May-2026 20:15', '2026-05-04T20:15:00.000Z'],
  ])('%s', (text, moment) => expect(at(text)).toBe(moment));

  it('goes by the clock of its place, in summer and in winter', () => {
    expect(at('2026-05-04 20:15', 'mdy', 'America/Chicago')).toBe('2026-05-05T01:15:00.000Z');
    expect(at('2026-12-04 20:15', 'mdy', 'America/Chicago')).toBe('2026-12-05T02:15:00.000Z');
  });

  it('5/4 is the fourth of May or the fifth of April', () => {
    expect(at('5/4/2026 20:15', 'dmy')).toBe('2026-04-05T20:15:00.000Z');
    expect(dateOrderOf(['5/4/2026 20:15', '5/5/2026 20:15'])).toBe('either');
    expect(dateOrderOf(['5/4/2026 20:15', '5/13/2026 8:00 AM'])).toBe('mdy');
    expect(dateOrderOf(['5/4/2026', '13/5/2026'])).toBe('dmy');
    expect(dateOrderOf(['2026-05-04 20:15', '04.05.2026', '5/5/2026'])).toBeNull();
  });

  it.each(['', 'noon', '2026-05-04', '2026-02-30 10:00', '13/13/2026 10:00', '5/4/2026 25:00'])(
    '“%s” is none',
    (text) => expect(at(text)).toBeNull(),
  );

  it('reads any minute that a clock of the United States shows', () =>
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
        (date) => {
          const text = date.toLocaleString('en-US', { timeZone: 'UTC' }).replace(/\u202f/g, ' ');
          expect(at(text)).toBe(new Date(Math.floor(date.getTime() / 1000) * 1000).toISOString());
        },
      ),
    ));
});
