import { LIVE_MINUTES, splicerContact } from './contact.ts';

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
