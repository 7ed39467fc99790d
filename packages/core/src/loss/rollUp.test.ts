import fc from 'fast-check';
import { mean } from 'simple-statistics';
import { BUILT_IN_LIMITS } from './profiles.ts';
import { EMPTY_TALLY, type Tally, addTally, rollUp } from './rollUp.ts';

const strict = BUILT_IN_LIMITS[0]!;
const tally = (part: Partial<Tally>): Tally => ({ ...EMPTY_TALLY, ...part });
const verdict = (part: Partial<Tally>, over = 0) =>
  rollUp(tally(part), 'tray', strict, over).verdict;

describe('a roll-up', () => {
  it('what fails decides first, then what is open, then what is provisional', () => {
    expect(verdict({ total: 12, measured: 6, redo: 1, failed: 1, open: 4, spliced: 1 })).toBe(
      'fail',
    );
    expect(verdict({ total: 12, measured: 6, open: 5, spliced: 1 })).toBe('open');
    expect(verdict({ total: 12, measured: 11, skipped: 1 })).toBe('open');
    expect(verdict({ total: 12, measured: 11, redo: 1 })).toBe('open');
    expect(verdict({ total: 12, measured: 11, spliced: 1 })).toBe('provisional');
    expect(verdict({ total: 12, measured: 11, accepted: 1 })).toBe('pass');
    expect(verdict({ total: 12, measured: 11, dead: 1 })).toBe('pass');
    expect(verdict({ total: 12, accepted: 11, dead: 1 })).toBe('accepted');
    expect(verdict({ total: 12, dead: 12 })).toBe('dead');
    expect(verdict({})).toBe('open');
  });

  it('counts as done what lies there and stays, out of what is to be made', () => {
    const part = {
      total: 12,
      open: 3,
      skipped: 1,
      dead: 2,
      redo: 1,
      spliced: 2,
      measured: 2,
      accepted: 1,
    };
    expect(rollUp(tally(part), 'tray', strict)).toMatchObject({ done: 5, due: 10 });
  });

  it('sending one to redo lowers the count, and a skipped one is not done', () => {
    const before = tally({ total: 3, spliced: 2, open: 1 });
    const after = tally({ total: 3, spliced: 1, redo: 1, skipped: 1 });
    expect(rollUp(before, 'tray', strict).done).toBe(2);
    expect(rollUp(after, 'tray', strict).done).toBe(1);
  });

  it('fails on its mean alone, compared as sum <= limit x count', () => {
    // The tray's limit is 0.060 dB: twelve splices may sum to 0.720 dB, 1440 half-thousandths.
    const good = {
      total: 12,
      measured: 12,
      figures: 12,
      sumHalfMdb: 1440,
      maxHalfMdb: 190,
      weakest: 3,
    };
    expect(rollUp(tally(good), 'tray', strict)).toMatchObject({
      verdict: 'pass',
      meanOver: false,
      grade: 'two-way',
    });
    expect(rollUp(tally({ ...good, sumHalfMdb: 1441 }), 'tray', strict)).toMatchObject({
      verdict: 'fail',
      meanOver: true,
    });
  });

  it('says a high mean before all is measured, and does not fail on it yet', () => {
    const part = {
      total: 12,
      spliced: 12,
      figures: 12,
      sumHalfMdb: 3000,
      maxHalfMdb: 400,
      weakest: 0,
    };
    expect(rollUp(tally(part), 'tray', strict)).toMatchObject({
      verdict: 'provisional',
      meanOver: true,
      grade: 'estimate',
    });
  });

  it('a closure fails by a tray that fails by its mean', () => {
    expect(verdict({ total: 12, measured: 12 }, 1)).toBe('fail');
  });

  it('has no mean to keep where the limits set none', () => {
    const none = { ...strict, mean: { fiber: null, tray: null, closure: null } };
    expect(
      rollUp(tally({ total: 1, measured: 1, figures: 1, sumHalfMdb: 9999 }), 'closure', none)
        .verdict,
    ).toBe('pass');
  });

  it('agrees with a statistics library on means and the worst', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -200, max: 800 }), { minLength: 1, maxLength: 60 }),
        (halves) => {
          const all = halves
            .map((half) =>
              tally({
                total: 1,
                measured: 1,
                figures: 1,
                sumHalfMdb: half,
                maxHalfMdb: half,
                weakest: 3,
              }),
            )
            .reduce(addTally, EMPTY_TALLY);
          const rolled = rollUp(all, 'tray', strict);
          expect(all.sumHalfMdb / all.figures).toBeCloseTo(mean(halves), 9);
          expect(all.maxHalfMdb).toBe(Math.max(...halves));
          // Means away from the limit, where floating point cannot decide otherwise.
          const limit = 2 * strict.mean.tray!;
          if (Math.abs(mean(halves) - limit) > 1e-6)
            expect(rolled.meanOver).toBe(mean(halves) > limit);
        },
      ),
    );
  });
});
