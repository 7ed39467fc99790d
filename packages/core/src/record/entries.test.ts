import { BUILT_IN_LIMITS, judgeSplice, spliceStateOf } from '../loss/index.ts';
import { newAttempt, newReading, newRuling, takeBack } from './entries.ts';
import { type Evidence, evidenceSchema } from './evidence.ts';

let count = 0;
const stamp = () => ({
  id: `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}`,
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
});
const SPLICE = '019da9e7-4800-7000-8000-00000000aaaa';
const verdict = (...entries: Evidence[]) =>
  judgeSplice(spliceStateOf(entries), { method: 'single', end: null }, BUILT_IN_LIMITS[0]!).verdict;

describe('an entry of evidence', () => {
  it('is what the server takes, signed', () => {
    const attempt = newAttempt(stamp(), SPLICE, 20);
    const figure = { grade: 'one-way', direction: 'AB', wavelengthNm: 1310, lossMdb: -40 } as const;
    for (const entry of [
      attempt,
      newReading(stamp(), SPLICE, attempt.tryId, figure),
      newRuling(stamp(), SPLICE, attempt.tryId, 'waive', 'Owner.'),
    ]) {
      expect(evidenceSchema.parse(entry)).toEqual(entry);
      expect(entry.by).toBe('M.');
    }
  });

  it('is taken back by an entry of its own, so that it never was', () => {
    const attempt = newAttempt(stamp(), SPLICE, 20);
    const back = takeBack(stamp(), attempt, 'Slip.');
    expect(evidenceSchema.parse(back)).toMatchObject({
      supersedes: attempt.id,
      void: true,
      tryId: attempt.id,
    });
    expect(verdict(attempt)).toBe('provisional');
    expect(verdict(attempt, back)).toBe('open');
    const skip = newRuling(stamp(), SPLICE, null, 'dead', 'Dead fiber.');
    expect(verdict(skip)).toBe('dead');
    expect(verdict(skip, takeBack(stamp(), skip, 'Slip.'))).toBe('open');
  });
});
