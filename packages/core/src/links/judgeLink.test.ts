import { normalFrom } from '../otdr/detect/normal.testing.ts';
import type { CircuitBudget } from '../loss/budget.ts';
import type { LinkEntry } from '../record/link.ts';
import { budgetAt, bothWays, newReference, seenAt, stamper } from './links.testing.ts';
import { judgeLink } from './judgeLink.ts';
import { NO_LINK_STATE, linkStates } from './linkState.ts';

const stateOf = (entries: readonly LinkEntry[]) =>
  linkStates(entries, () => 'circuit').get('circuit') ?? NO_LINK_STATE;

/** A link measured both ways at 1310 and 1550 nm, and what is said of it. */
function verdictOf(
  lossesMdb: { 1310: [number, number]; 1550: [number, number] },
  budgets: readonly CircuitBudget[],
  more: (stamp: ReturnType<typeof stamper>) => LinkEntry[] = () => [],
) {
  const stamp = stamper();
  const [short, long] = [newReference(stamp, 1310), newReference(stamp, 1550)];
  const entries = [
    short,
    long,
    ...bothWays(stamp, 1, short, lossesMdb[1310]),
    ...bothWays(stamp, 1, long, lossesMdb[1550]),
    ...more(stamp),
  ];
  return judgeLink(stateOf(entries), budgets, 250);
}

const codes = ({ causes }: ReturnType<typeof judgeLink>) => causes.map(({ code }) => code);

/** 10 km and four splices: 3.4 and 2.0 dB of fiber, 0.2 dB of splices, two connectors of 0.25 dB. */
const BUDGETS = [budgetAt(1310, 4100), budgetAt(1550, 2700)];

describe('a link that loses what its parts lose', () => {
  const verdict = verdictOf({ 1310: [4150, 4050], 1550: [2750, 2600] }, BUDGETS);

  it('passes by the mean of both directions, and nothing is suspected', () => {
    expect(verdict.judgements).toMatchObject([
      {
        wavelengthNm: 1310,
        lossHalfMdb: 8200,
        isTwoWay: true,
        verdict: 'pass',
        agreement: 'agrees',
      },
      {
        wavelengthNm: 1550,
        lossHalfMdb: 5350,
        isTwoWay: true,
        verdict: 'pass',
        agreement: 'agrees',
      },
    ]);
    expect(verdict.causes).toEqual([]);
  });

  it('is compared with its limit exactly', () => {
    const at = (limitMdb: number) =>
      verdictOf({ 1310: [4000, 4001], 1550: [2700, 2700] }, [budgetAt(1310, 4000, { limitMdb })])
        .judgements[0]!.verdict;
    expect(at(4000.5)).toBe('pass');
    expect(at(4000)).toBe('fail');
  });

  it('says so where one direction alone is measured', () => {
    const stamp = stamper();
    const reference = newReference(stamp, 1550);
    const [one] = bothWays(stamp, 1, reference, [2700, 2700]);
    const { judgements } = judgeLink(stateOf([reference, one!]), BUDGETS, 250);
    expect(judgements).toMatchObject([{ isTwoWay: false, verdict: 'one way', lossHalfMdb: 5400 }]);
  });

  it('fails by one direction alone where that is over the limit, and says by how much', () => {
    const over = (lossMdb: number) => {
      const stamp = stamper();
      const reference = newReference(stamp, 1550);
      const [one] = bothWays(stamp, 1, reference, [lossMdb, lossMdb]);
      return judgeLink(stateOf([reference, one!]), [budgetAt(1550, 7000, { limitMdb: 8160 })], 250)
        .judgements[0];
    };
    expect(over(9500)).toMatchObject({ isTwoWay: false, verdict: 'fail', overHalfMdb: 2680 });
    expect(over(55_000)).toMatchObject({ verdict: 'fail', overHalfMdb: 93_680 });
    expect(over(8160)).toMatchObject({ verdict: 'one way', overHalfMdb: null });
  });

  it('counts connectors that a reference by three cords leaves out', () => {
    const stamp = stamper();
    const reference = newReference(stamp, 1550, { cords: 3 });
    const entries = [reference, ...bothWays(stamp, 1, reference, [2200, 2200])];
    const [judged] = judgeLink(stateOf(entries), BUDGETS, 250).judgements;
    expect(judged).toMatchObject({ leftOutHalfMdb: 1000, excessMdb: 0, agreement: 'agrees' });
  });
});

// What each loses at both wavelengths: common practice, no source. A bend of 15 mm radius loses ten times as much at 1550 nm.
describe('what is likely where a link and its parts disagree', () => {
  it.each<[string, { 1310: [number, number]; 1550: [number, number] }, string]>([
    ['a bend: more at the long wavelength', { 1310: [4200, 4200], 1550: [3700, 3700] }, 'bend'],
    [
      'a connector or splice: alike',
      { 1310: [4900, 4950], 1550: [3500, 3550] },
      'connectorOrSplice',
    ],
    ['2 km of fiber too much', { 1310: [4780, 4780], 1550: [3100, 3100] }, 'wrongFiber'],
    ['3 km of fiber too little', { 1310: [3080, 3080], 1550: [2100, 2100] }, 'wrongFiber'],
    [
      'a reference taken over a dirty cord: less, alike',
      { 1310: [3400, 3400], 1550: [2000, 2000] },
      'reference',
    ],
    ['hardly any light', { 1310: [24_000, 24_000], 1550: [22_000, 22_000] }, 'break'],
    ['one end', { 1310: [4100, 5000], 1550: [2700, 3600] }, 'oneEnd'],
  ])('%s', (_, lossesMdb, code) => expect(codes(verdictOf(lossesMdb, BUDGETS))).toEqual([code]));

  it('is a connector where traces, which do not see the ends, agree with the plan', () => {
    const traced = BUDGETS.map((budget) => ({
      ...budget,
      measuredMdb: budget.madeMdb,
      measuredSigmaMdb: 120,
    }));
    const verdict = verdictOf({ 1310: [4900, 4900], 1550: [3500, 3500] }, traced);
    expect(codes(verdict)).toEqual(['connector']);
  });

  it('is a reflection where more comes back than fiber gives by itself', () => {
    const verdict = verdictOf({ 1310: [4100, 4100], 1550: [2700, 2700] }, BUDGETS, (stamp) => [
      {
        kind: 'return loss',
        ...stamp(),
        projectId: '01900000-0000-7000-9000-000000000001',
        cableId: '01900000-0000-7000-9000-000000000002',
        fiber: 1,
        direction: 'AB',
        wavelengthNm: 1550,
        meter: 'Meter 1',
        lossMdb: 22_000,
        origin: 'typed',
        supersedes: null,
        void: false,
        why: null,
      },
    ]);
    expect(verdict.causes).toMatchObject([{ code: 'reflection', returnLoss: { lossDb: 22 } }]);
  });

  it('is what light showed before anything that is worked out', () => {
    const verdict = verdictOf({ 1310: [9000, 9000], 1550: [7000, 7000] }, BUDGETS, (stamp) => [
      seenAt(stamp, 1, 'elsewhere', 4),
    ]);
    expect(verdict.causes).toEqual([{ code: 'elsewhere', fiber: 4 }]);
  });

  it('names a meter whose calibration had run out', () => {
    const stamp = stamper();
    const reference = newReference(stamp, 1550, { calibratedUntil: '2026-05-03' });
    const entries = [reference, ...bothWays(stamp, 1, reference, [2700, 2700])];
    expect(judgeLink(stateOf(entries), BUDGETS, 250).causes).toEqual([
      { code: 'calibrationExpired', meter: 'Meter 1', until: '2026-05-03' },
    ]);
  });

  it('suspects good links seldom, and names what was put into bad ones', () => {
    // Cords are mated with 0.07 dB of spread, and the fiber is known to 0.1 dB.
    const normal = normalFrom(17);
    let [wrong, missed] = [0, 0];
    for (let count = 0; count < 400; count++) {
      const isBent = count % 2 === 1;
      const fiber = 100 * normal();
      const at = (parts: number, bend: number): [number, number] => {
        const whole = parts + fiber + (isBent ? bend : 0);
        return [Math.round(whole + 70 * normal()), Math.round(whole + 70 * normal())];
      };
      const verdict = verdictOf({ 1310: at(4100, 120), 1550: at(2700, 1200) }, BUDGETS);
      if (!isBent && verdict.causes.length > 0) wrong++;
      if (isBent && verdict.causes[0]?.code !== 'bend') missed++;
    }
    expect(wrong).toBeLessThan(12);
    expect(missed).toBeLessThan(12);
  });
});
