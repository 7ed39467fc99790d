import { learnPace } from './pace.ts';
import { ShiftRuns, quantile, unitsAs, wayFigures, withOneMore } from './runs.ts';
import { type ShiftSetting, type ShiftUnit, STAGE, USUAL_SHIFT } from './shift.ts';

/** No chance at all: every time is as set, nothing is redone. */
const SURE = { uniform: () => 0.999, normal: () => 0 };
const plain: ShiftSetting = {
  ...USUAL_SHIFT,
  breaks: [],
  checkFirst: false,
  checkEvery: 5000,
  spread: 0,
};
const tube: ShiftUnit = { label: 'A tube 1', sleeves: 12, fibers: 1, way: 'single' };
const finish = (setting: ShiftSetting, units: ShiftUnit[]) => {
  const runs = new ShiftRuns(setting, units, SURE);
  runs.add(1);
  return runs.outcome();
};
const { times } = plain;
const hands = times.prepSingle + times.load + times.test + times.move + times.seat;

describe('a shift without chance', () => {
  it('one splice takes its steps one after the other', () => {
    const alone = finish(plain, [{ ...tube, sleeves: 1 }]).finish.p50;
    expect(alone).toBe(times.open + hands + times.arc + times.heat);
  });

  it('twelve by one person: hands never rest, so the machines’ time hides behind them', () => {
    // By hand: opening, twelve times the hands; at the ends nothing is left to do while the first
    // fiber is fused and the last is heated.
    const { finish: end, bottleneck } = finish(plain, [tube]);
    expect(bottleneck).toBe('people');
    expect(end.p50).toBeGreaterThanOrEqual(times.open + 12 * hands);
    expect(end.p50).toBeLessThanOrEqual(times.open + 12 * hands + times.arc + times.heat + 1);
  });

  it('a heater that is too slow is named, and one more gains most', () => {
    const slow = { ...plain, people: 3, places: 3, splicers: 2, times: { ...times, heat: 240 } };
    const base = finish(slow, [tube, tube]);
    expect(base.bottleneck).toBe('heaters');
    const gain = (what: 'person' | 'splicer' | 'heater') =>
      base.finish.p50 - finish(withOneMore(slow, what), [tube, tube]).finish.p50;
    expect(gain('heater')).toBeGreaterThan(10 * Math.max(1, gain('person'), gain('splicer')));
  });

  it('a crowd at one place gains nothing', () => {
    const tight = { ...plain, people: 1, places: 1 };
    expect(finish(withOneMore(tight, 'person'), [tube]).finish.p50).toBe(
      finish(tight, [tube]).finish.p50,
    );
  });

  it('a break stops everyone for its length', () => {
    const broken = { ...plain, breaks: [{ at: 15, length: 30 }] };
    const late = finish(broken, [tube]).finish.p50 - finish(plain, [tube]).finish.p50;
    expect(late).toBeGreaterThan(1800 - times.arc - times.heat);
    expect(late).toBeLessThanOrEqual(1800);
  });

  it('an arc check comes by the count of arcs', () => {
    const runs = new ShiftRuns({ ...plain, checkEvery: 10 }, [tube, tube], SURE);
    const checks = runs.traced().stretches.filter(({ stage }) => stage === STAGE.check);
    expect(checks).toHaveLength(2);
  });

  it('a joint is made three times at most', () => {
    const never = { uniform: () => 0, normal: () => 0 };
    const arcs = new ShiftRuns(plain, [tube], never)
      .traced()
      .stretches.filter(({ stage }) => stage === STAGE.arc);
    expect(arcs).toHaveLength(36);
  });
});

describe('a shift with chance', () => {
  it('spreads its finish, and says the last moment to begin a tube', () => {
    let state = 1;
    const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
    const normal = () =>
      Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
    const runs = new ShiftRuns({ ...USUAL_SHIFT, window: 120 }, [tube, tube], { uniform, normal });
    runs.add(2000);
    const { finish: end, inWindow, lastStart } = runs.outcome();
    expect(end.p10).toBeLessThan(end.p50);
    expect(end.p50).toBeLessThan(end.p90);
    expect(inWindow).toBeGreaterThan(0.5);
    expect(lastStart).toEqual([
      { unit: { way: 'single', sleeves: 12, fibers: 1 }, at: expect.any(Number) },
    ]);
    expect(lastStart[0]!.at).toBeLessThan(120 * 60 - times.open - 12 * hands + 600);
  });

  it('quantiles are figures of the list', () => {
    expect(quantile([1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 0.9)).toBe(9);
    expect(quantile([], 0.5)).toBe(0);
  });
});

describe('one by one or ribbonized', () => {
  it('a tube of 12 is 12 sleeves or one', () => {
    expect(unitsAs([tube], 'ribbonized')).toEqual([
      { ...tube, way: 'ribbonized', sleeves: 1, fibers: 12 },
    ]);
    expect(unitsAs(unitsAs([tube], 'ribbonized'), 'single')).toEqual([tube]);
  });

  // Common practice, no source: a lower pad is good for two, an upper for one; both sides are ribbonized.
  it('shows what each takes', () => {
    const outcome = finish(plain, unitsAs([tube, tube], 'ribbonized'));
    const figures = wayFigures(
      [tube, tube],
      'ribbonized',
      { ...plain, redo: { ...plain.redo, ribbonized: 0 } },
      outcome,
    );
    expect(figures).toMatchObject({ sleeves: 2, adhesive: 4, pads: 6 });
    expect(outcome.finish.p50).toBeLessThan(finish(plain, [tube, tube]).finish.p50);
  });
});

describe('the pace of a shift', () => {
  const moments = (gap: number, count: number) =>
    Array.from({ length: count }, (_, at) => at * gap * 1000);
  it('is as set without a sleeve, and as seen after many', () => {
    expect(learnPace([], 150)).toEqual({ factor: 1, seen: 0 });
    expect(learnPace(moments(180, 200), 150).factor).toBeCloseTo(1.2, 2);
  });

  it('moves a little with the first ones, and not by a break', () => {
    const { factor } = learnPace(moments(300, 2), 150);
    expect(factor).toBeGreaterThan(1.1);
    expect(factor).toBeLessThan(1.5);
    expect(learnPace([0, 150_000, 150_000 + 3_600_000], 150).seen).toBe(1);
  });
});
