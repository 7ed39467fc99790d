import {
  type Evidence,
  evidenceSchema,
  judgeSplice,
  standingOf,
  BUILT_IN_LIMITS,
} from '@cordel/core';
import { newAttempt, newReading, newRuling, takeBack } from './record';

jest.mock('@/data/client', () => ({ outbox: { add: jest.fn() } }));
jest.mock('uuid', () => {
  let count = 0;
  return { v7: () => `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}` };
});

const SPLICE = '019da9e7-4800-7000-8000-00000000aaaa';
const verdict = (...entries: Evidence[]) =>
  judgeSplice(standingOf(entries), 'single', BUILT_IN_LIMITS[0]!).verdict;

beforeEach(() => localStorage.setItem('cordel.person', 'M.'));

describe('what the Bench records', () => {
  it('is evidence that the server takes, signed', () => {
    const attempt = newAttempt(SPLICE, 20);
    const figure = { grade: 'one-way', direction: 'AB', wavelengthNm: 1310, lossMdb: -40 } as const;
    for (const entry of [
      attempt,
      newReading(SPLICE, attempt.tryId, figure),
      newRuling(SPLICE, attempt.tryId, 'waive', 'Owner.'),
    ]) {
      expect(evidenceSchema.parse(entry)).toEqual(entry);
      expect(entry.by).toBe('M.');
    }
  });

  it('is taken back by an entry of its own, so that it never was', () => {
    const attempt = newAttempt(SPLICE, 20);
    const back = takeBack(attempt, 'Slip.');
    expect(evidenceSchema.parse(back)).toMatchObject({
      supersedes: attempt.id,
      void: true,
      tryId: attempt.id,
    });
    expect(verdict(attempt)).toBe('provisional');
    expect(verdict(attempt, back)).toBe('open');
    const skip = newRuling(SPLICE, null, 'dead', 'Dead fiber.');
    expect(verdict(skip)).toBe('dead');
    expect(verdict(skip, takeBack(skip, 'Slip.'))).toBe('open');
  });
});
