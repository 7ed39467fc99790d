import { LIVE_MINUTES, lastHeardAt, splicerContact } from './contact.ts';
import { splicerRecord } from './records.testing.ts';

const received = '2026-05-04T20:15:00.000Z';
const after = (minutes: number) => Date.parse(received) + minutes * 60_000;

describe('a splicer', () => {
  it('is live only where it was heard from within the stated time', () => {
    expect(splicerContact(received, after(0))).toEqual({ code: 'live', minutes: 0 });
    expect(splicerContact(received, after(LIVE_MINUTES) - 1)).toEqual({ code: 'live', minutes: 9 });
    expect(splicerContact(received, after(LIVE_MINUTES))).toEqual({ code: 'quiet', minutes: 10 });
    expect(splicerContact(received, after(203 * 24 * 60)).code).toBe('quiet');
  });

  it('of which nothing came is not, and a clock that is behind makes no negative time', () => {
    expect(splicerContact(null, after(0))).toEqual({ code: 'none' });
    expect(splicerContact(received, after(-3))).toEqual({ code: 'live', minutes: 0 });
  });
});

test('records of a file say nothing of the line to a splicer', () => {
  const record = (splicerId: string, receivedAt: string, isFromFile?: boolean) => ({
    ...splicerRecord({ splicerId, ...(isFromFile && { isFromFile }) }),
    seq: 1,
    receivedAt,
  });
  const records = [
    record('one', '2026-05-04T20:00:00.000Z'),
    record('other', '2026-05-04T20:05:00.000Z'),
    record('one', '2026-05-04T20:10:00.000Z', true),
  ];
  expect(lastHeardAt(records, 'one')).toBe('2026-05-04T20:00:00.000Z');
  expect(lastHeardAt(records.slice(2), 'one')).toBeNull();
  expect(lastHeardAt(records, null)).toBeNull();
});
