import fc from 'fast-check';
import type { Limits } from '../record/limits.ts';
import { limitsSchema } from '../record/limits.ts';
import { BUILT_IN_LIMITS } from './profiles.ts';
import { reasonsFor } from './reasons.ts';
import { type Scribe, scribe } from './scribe.testing.ts';
import { spliceStateOf } from './spliceState.ts';
import { adviseEstimate, isOver, judgeSplice } from './verdict.ts';

const SINGLE = { method: 'single', end: null } as const;
const MASS = { method: 'mass', end: null } as const;
const strict = BUILT_IN_LIMITS[0]!;
const lenient = BUILT_IN_LIMITS[1]!;
const byEstimate: Limits = { ...strict, grade: 'estimate' };

const judge = (
  write: (s: Scribe) => Parameters<typeof spliceStateOf>[0],
  limits: Limits = strict,
) => judgeSplice(spliceStateOf(write(scribe())), SINGLE, limits);

const both = (s: Scribe, nm: number, loss: number) => [
  s.oneWay('AB', nm, loss),
  s.oneWay('BA', nm, loss),
];

describe('the verdict on a splice', () => {
  it('is open while nothing is recorded', () => {
    expect(judge(() => [])).toEqual({
      verdict: 'open',
      redo: false,
      figure: null,
      missing: [1310, 1550],
      tries: 0,
    });
  });

  it('is provisional on an estimate where two-way decides: an estimate is no measured loss', () => {
    const judged = judge((s) => [s.attempt(20)]);
    expect(judged).toMatchObject({
      verdict: 'provisional',
      redo: false,
      missing: [1310, 1550],
      tries: 1,
    });
  });

  it('asks for a redo on a high estimate, before anything is measured', () => {
    expect(judge((s) => [s.attempt(60)])).toMatchObject({ verdict: 'provisional', redo: true });
    expect(judge((s) => [s.attempt(50)])).toMatchObject({ redo: false });
  });

  it('tells the worst figure where more than one wavelength is over its limit', () => {
    for (const losses of [
      [300, 310],
      [310, 300],
    ] as const) {
      const judged = judge((s) => [
        s.attempt(20),
        ...both(s, 1310, losses[0]),
        ...both(s, 1550, losses[1]),
      ]);
      expect(judged).toMatchObject({ verdict: 'fail', figure: { lossHalfMdb: 620 } });
    }
  });

  it('leaves a high estimate alone once the two-way average is good', () => {
    const judged = judge((s) => [s.attempt(120), ...both(s, 1310, 40), ...both(s, 1550, 50)]);
    expect(judged).toMatchObject({ verdict: 'pass', redo: false, missing: [] });
    expect(judged.figure).toEqual({
      grade: 'two-way',
      wavelengthNm: 1550,
      lossHalfMdb: 100,
      origin: 'typed',
    });
  });

  it('does not fail a splice on one high direction: small onto large mode field reads high', () => {
    // Common practice, no source: a splice that reads high one way and negative the other is no bad splice.
    const judged = judge((s) => [s.attempt(20), s.oneWay('AB', 1310, 313)]);
    expect(judged).toMatchObject({ verdict: 'provisional', redo: false });
    const proven = judge((s) => [
      s.attempt(20),
      s.oneWay('AB', 1310, 313),
      s.oneWay('BA', 1310, -273),
      ...both(s, 1550, 20),
    ]);
    expect(proven.verdict).toBe('pass');
  });

  it('compares exactly at the limit, to half a thousandth', () => {
    const at = judge((s) => [
      s.attempt(20),
      s.oneWay('AB', 1310, 150),
      s.oneWay('BA', 1310, 50),
      ...both(s, 1550, 10),
    ]);
    expect(at.verdict).toBe('pass');
    const over = judge((s) => [
      s.attempt(20),
      s.oneWay('AB', 1310, 151),
      s.oneWay('BA', 1310, 50),
      ...both(s, 1550, 10),
    ]);
    expect(over).toMatchObject({ verdict: 'fail', redo: true });
  });

  it('fails on one wavelength at once, the other still missing', () => {
    const judged = judge((s) => [s.attempt(20), ...both(s, 1550, 160)]);
    expect(judged).toMatchObject({ verdict: 'fail', redo: true, missing: [1310] });
  });

  it('waits for every wavelength of the project', () => {
    expect(judge((s) => [s.attempt(20), ...both(s, 1310, 20)])).toMatchObject({
      verdict: 'provisional',
      missing: [1550],
    });
  });

  it('fails at a wavelength nobody asked for, too', () => {
    const judged = judge((s) => [
      s.attempt(20),
      ...both(s, 1310, 20),
      ...both(s, 1550, 20),
      ...both(s, 1625, 400),
    ]);
    expect(judged.verdict).toBe('fail');
  });

  it('one-way is enough for the lenient school, a power meter too', () => {
    expect(judge((s) => [s.attempt(20), s.oneWay('AB', 1550, 150)], lenient).verdict).toBe('pass');
    expect(judge((s) => [s.attempt(20), s.oneWay('AB', 1550, 151)], lenient).verdict).toBe('fail');
    expect(judge((s) => [s.attempt(20), s.measured('insertion', 1550, 100)], lenient).verdict).toBe(
      'pass',
    );
  });

  it('an estimate stands for all wavelengths where it decides, until something is measured', () => {
    expect(judge((s) => [s.attempt(20)], byEstimate).verdict).toBe('pass');
    expect(judge((s) => [s.attempt(51)], byEstimate).verdict).toBe('fail');
    const measured = judge(
      (s) => [s.attempt(51), ...both(s, 1310, 20), ...both(s, 1550, 20)],
      byEstimate,
    );
    expect(measured.verdict).toBe('pass');
  });

  it('accepted, dead, skipped and sent to redo are a person’s word, and four things', () => {
    expect(judge((s) => [s.attempt(200), s.ruling('waive')])).toMatchObject({
      verdict: 'accepted',
      redo: false,
    });
    expect(judge((s) => [s.ruling('dead')])).toMatchObject({ verdict: 'dead', figure: null });
    expect(judge((s) => [s.ruling('skip')])).toMatchObject({ verdict: 'skipped', redo: false });
    // A good estimate of a joint that was broken does not speak for what will lie there.
    expect(judge((s) => [s.attempt(20), s.ruling('redo')])).toMatchObject({
      verdict: 'open',
      redo: true,
      figure: null,
      tries: 1,
    });
  });

  it('never passes what is over the limit, whatever the order', () => {
    const reading = fc.record({
      nm: fc.constantFrom(1310, 1550),
      dir: fc.constantFrom('AB' as const, 'BA' as const),
      loss: fc.integer({ min: -400, max: 400 }),
    });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 8 }), (readings) => {
        const judged = judge((s) => [
          s.attempt(20),
          ...readings.map(({ nm, dir, loss }) => s.oneWay(dir, nm, loss)),
        ]);
        const last = (nm: number, dir: string) =>
          readings.filter((entry) => entry.nm === nm && entry.dir === dir).at(-1)?.loss;
        const means = [1310, 1550].map((nm) => {
          const [there, back] = [last(nm, 'AB'), last(nm, 'BA')];
          return there === undefined || back === undefined ? null : (there + back) / 2;
        });
        const expected = means.some((mean) => mean !== null && mean > 100)
          ? 'fail'
          : means.every((mean) => mean !== null)
            ? 'pass'
            : 'provisional';
        expect(judged.verdict).toBe(expected);
      }),
    );
  });
});

describe('advice at the bench', () => {
  it.each([
    [50, 1, 'good'],
    [51, 1, 'redo'],
    [51, 2, 'last try'],
    [51, 3, 'needs the lead'],
    [51, 9, 'needs the lead'],
    [0, 3, 'good'],
  ] as const)('%i thousandths on try %i of 3: %s', (estimate, tries, advice) => {
    expect(adviseEstimate(estimate, tries, SINGLE, strict)).toBe(advice);
  });

  it('ribbons have their own line, and no line means good', () => {
    expect(adviseEstimate(80, 1, MASS, strict)).toBe('good');
    expect(adviseEstimate(81, 1, MASS, strict)).toBe('redo');
    const none = {
      ...strict,
      splice: { ...strict.splice, estimate: { single: null, mass: null } },
    };
    expect(adviseEstimate(900, 1, SINGLE, none)).toBe('good');
  });

  it('one try is the last', () => {
    expect(adviseEstimate(90, 1, SINGLE, { ...strict, maxTries: 1 })).toBe('needs the lead');
    expect(adviseEstimate(90, 1, SINGLE, { ...strict, maxTries: 2 })).toBe('last try');
  });
});

describe('the reasons', () => {
  const reasons = (write: (s: Scribe) => Parameters<typeof spliceStateOf>[0]) => {
    const spliceState = spliceStateOf(write(scribe()));
    return reasonsFor(spliceState, judgeSplice(spliceState, SINGLE, strict), SINGLE, strict);
  };

  it('a bad joint: both wavelengths alike', () => {
    const said = reasons((s) => [s.attempt(200), ...both(s, 1310, 210), ...both(s, 1550, 200)]);
    expect(said).toEqual([
      {
        code: 'overAt',
        grade: 'two-way',
        loss: { lossHalfMdb: 420 },
        wavelengthNm: 1310,
        limit: { lossMdb: 100 },
      },
      { code: 'jointItself' },
    ]);
  });

  it('a bend: the long wavelength alone', () => {
    // Common practice, no source: 1550 nm well above 1310 nm points to a bend.
    const said = reasons((s) => [s.attempt(20), ...both(s, 1310, 20), ...both(s, 1550, 160)]);
    expect(said[1]).toEqual({
      code: 'bend',
      longNm: 1550,
      shortNm: 1310,
      excess: { lossHalfMdb: 280 },
    });
  });

  it('mode fields: the directions disagree', () => {
    const said = reasons((s) => [
      s.attempt(20),
      s.oneWay('AB', 1310, 313),
      s.oneWay('BA', 1310, -273),
      ...both(s, 1550, 20),
    ]);
    expect(said).toEqual([
      {
        code: 'directionsDiffer',
        difference: { lossMdb: 586 },
        wavelengthNm: 1310,
        low: 'BA',
      },
    ]);
  });

  it('one direction high, or a gain: measure the other', () => {
    expect(reasons((s) => [s.attempt(20), s.oneWay('AB', 1310, 313)])[0]).toMatchObject({
      code: 'oneWayHigh',
      measure: 'BA',
    });
    expect(reasons((s) => [s.attempt(20), s.oneWay('BA', 1310, -100)])[0]).toMatchObject({
      code: 'oneWayGain',
      loss: { lossMdb: 100 },
      measure: 'AB',
    });
  });

  it('tries used up: the lead', () => {
    const said = reasons((s) => [s.attempt(90), s.attempt(80), s.attempt(70)]);
    expect(said).toEqual([
      {
        code: 'over',
        grade: 'estimate',
        loss: { lossHalfMdb: 140 },
        limit: { lossMdb: 50 },
      },
      { code: 'triesUsedUp', used: 3, most: 3 },
    ]);
  });

  it('a waiver: who and why', () => {
    expect(reasons((s) => [s.attempt(200), s.ruling('waive', 'Owner accepts.')])).toEqual([
      { code: 'waive', by: 'M.', why: 'Owner accepts.' },
    ]);
  });

  it('says nothing of a good splice', () => {
    expect(reasons((s) => [s.attempt(20), ...both(s, 1310, 20), ...both(s, 1550, 20)])).toEqual([]);
  });
});

describe('limits that ship', () => {
  it.each(BUILT_IN_LIMITS.map((limits) => [limits.name, limits] as const))(
    '%s is a whole profile with its source',
    (_, limits) => {
      expect(limitsSchema.parse(limits)).toEqual(limits);
      expect(limits.source).toMatch(/Common practice|TIA-568/);
    },
  );

  it('the standard maximum is 0.3 dB a splice', () => {
    // TIA-568, from memory.
    const standard = BUILT_IN_LIMITS.find((limits) => limits.source.includes('TIA-568'))!;
    expect(standard.splice.insertion.single).toBe(300);
    const at = {
      grade: 'insertion' as const,
      wavelengthNm: 1310,
      lossHalfMdb: 600,
      origin: 'instrument' as const,
    };
    expect(isOver(at, SINGLE, standard)).toBe(false);
    expect(isOver({ ...at, lossHalfMdb: 601 }, SINGLE, standard)).toBe(true);
  });

  it('the strict profile keeps within 0.05 to 0.15 dB two-way', () => {
    // Common practice, no source.
    const { single, mass } = strict.splice['two-way'];
    expect(single).toBeGreaterThanOrEqual(50);
    expect(mass).toBeLessThanOrEqual(150);
  });

  it('a profile that can judge nothing is refused', () => {
    const empty = {
      ...strict,
      splice: { ...strict.splice, 'two-way': { single: null, mass: null } },
    };
    expect(limitsSchema.safeParse(empty).error?.issues[0]).toMatchObject({ path: ['grade'] });
  });
});
