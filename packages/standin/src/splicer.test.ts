import { mean, medianSorted, quantile } from 'simple-statistics';
import { jointLoss } from '@cordel/core';
import { practiceRound } from './practice.ts';
import { seeded } from './random.ts';
import { type StandinTask, checkStandin, newStandin, runStandin } from './splicer.ts';

const NO_AIR = { temperature: 12, humidity: 50, pressure: 98 };
const task = (part: Partial<StandinTask> = {}): StandinTask => ({
  state: newStandin(7),
  fibers: [{ mfdLeft: 9.2, mfdRight: 9.2 }],
  program: 'SM',
  heater: '60 mm',
  at: '2026-05-04T20:15:00.000Z',
  label: null,
  air: NO_AIR,
  ...part,
});

/** Many loads, one after the other, each with the state the one before left. */
function loads(count: number, part: Partial<StandinTask> = {}) {
  let state = newStandin(11);
  return Array.from({ length: count }, () => {
    const run = runStandin(task({ ...part, state }));
    // Blade and arc as new: chance alone.
    state = { ...run.state, cleaves: 0, power: 0 };
    return run;
  });
}

describe('the simulated splicer', () => {
  it('gives the same run for the same state', () =>
    expect(runStandin(task())).toEqual(runStandin(task())));

  // Common practice, no source: typical estimates of 0.01 dB single, 0.01 to 0.03 dB in ribbons.
  it('estimates what crews see', () => {
    const estimates = (fibers: number) =>
      loads(600, {
        fibers: Array.from({ length: fibers }, () => ({ mfdLeft: 9.2, mfdRight: 9.2 })),
      })
        .flatMap(({ record }) => record.fibers.flatMap(({ estimateMdb }) => estimateMdb ?? []))
        .sort((a, b) => a - b);
    const single = estimates(1);
    expect(medianSorted(single)).toBe(10);
    expect(quantile(single, 0.9)).toBeLessThanOrEqual(40);
    const ribbon = estimates(12);
    expect(medianSorted(ribbon)).toBeGreaterThanOrEqual(10);
    expect(medianSorted(ribbon)).toBeLessThanOrEqual(30);
  });

  it('loses no less than the mode fields cost, whatever it estimates', () => {
    const pair = { mfdLeft: 9.2, mfdRight: 10.4 };
    const floor = 1000 * jointLoss({ mfdA: 9.2, mfdB: 10.4 });
    const runs = loads(100, { fibers: [pair] }).filter(({ record }) => record.fused);
    for (const { truth } of runs) expect(truth[0]).toBeGreaterThanOrEqual(Math.round(floor));
    const estimates = runs.map(({ record }) => record.fibers[0]!.estimateMdb!);
    expect(mean(estimates)).toBeLessThan(floor + 20);
  });

  it('stops before the arc for a chip, dirt and a high cleave, and says which fiber', () => {
    const fibers = Array.from({ length: 12 }, () => ({ mfdLeft: 9.2, mfdRight: 9.2 }));
    for (const fault of ['chip', 'dirt'] as const) {
      const { record, truth } = runStandin(task({ fibers, faults: [fault] }));
      expect(record.fused).toBe(false);
      expect(record.fibers[0]!.error).toBe(fault);
      expect(truth.every((loss) => loss === null)).toBe(true);
    }
    for (const { record } of loads(200, { cleaveLimit: 0.5 })) {
      const [fiber] = record.fibers;
      const worst = Math.max(fiber!.cleaveLeft!, fiber!.cleaveRight!);
      // Angles are shown in hundredths: right at the limit either may be.
      if (Math.abs(worst - 0.5) > 0.005 && fiber!.error !== 'dirt')
        expect(fiber!.error).toBe(worst > 0.5 ? 'cleave angle' : null);
    }
  });

  it('counts arcs that were fired, and numbers every run', () => {
    const fired = runStandin(task());
    expect(fired.state).toMatchObject({ number: 1, arcs: 1 });
    const stopped = runStandin(task({ faults: ['chip'] }));
    expect(stopped.state).toMatchObject({ number: 1, arcs: 0 });
  });

  it('reads high with worn electrodes, a wrong program loses and does not show it', () => {
    const usual = loads(200);
    const worn = loads(200, { faults: ['worn electrodes'] });
    const estimateOf = (runs: typeof usual) =>
      mean(runs.flatMap(({ record }) => record.fibers[0]!.estimateMdb ?? []));
    expect(estimateOf(worn)).toBeGreaterThan(estimateOf(usual) + 40);
    const wrong = loads(200, { faults: ['wrong program'] });
    const truthOf = (runs: typeof usual) => mean(runs.flatMap(({ truth }) => truth[0] ?? []));
    expect(truthOf(wrong) - truthOf(usual)).toBeCloseTo(90, 0);
    expect(Math.abs(estimateOf(wrong) - estimateOf(usual))).toBeLessThan(8);
  });

  it('comes through an arc check in a few rounds, however far it has drifted', () => {
    let state = { ...newStandin(3), power: 0.4 };
    let rounds = 0;
    for (let passed = false; !passed && rounds < 10; rounds++)
      ({ passed, state } = checkStandin(state));
    expect(rounds).toBeGreaterThan(1);
    expect(rounds).toBeLessThan(6);
    expect(Math.abs(state.power)).toBeLessThan(0.03);
  });
});

describe('a practice round', () => {
  const round = practiceRound(42, 150);
  it('is the same for the same seed, and has every kind of fault and joints without', () => {
    expect(practiceRound(42, 150)).toEqual(round);
    expect(new Set(round.map(({ fault }) => fault)).size).toBe(9);
    expect(round.filter(({ fault }) => fault === 'none').length).toBeGreaterThan(10);
  });

  it('shows each fault where a technician would see it, and nowhere else', () => {
    for (const joint of round) {
      const { fault, record, wanted, right, sleeve, program } = joint;
      const same = JSON.stringify(wanted) === JSON.stringify(right);
      expect(same).toBe(fault !== 'swapped' && fault !== 'flipped');
      expect(record.fused).toBe(fault !== 'chip' && fault !== 'dirt');
      expect(sleeve).toBe(fault !== 'no sleeve');
      expect(program === 'MM').toBe(fault === 'wrong program');
      // A flip and a swap read well: that is what makes them costly.
      if (fault === 'none' || fault === 'swapped' || fault === 'flipped')
        expect(record.fibers.every(({ estimateMdb }) => estimateMdb! <= 50)).toBe(true);
    }
  });
});

it('the source of chance is uniform and normal enough', () => {
  const random = seeded(5);
  const uniform = Array.from({ length: 20_000 }, () => random.uniform());
  const normal = Array.from({ length: 20_000 }, () => random.normal());
  expect(mean(uniform)).toBeCloseTo(0.5, 1);
  expect(Math.min(...uniform)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...uniform)).toBeLessThan(1);
  expect(mean(normal)).toBeCloseTo(0, 1);
  // 68.27 % within one deviation, 95.45 % within two: the normal distribution.
  const within = (width: number) =>
    normal.filter((value) => Math.abs(value) < width).length / 20_000;
  expect(within(1)).toBeCloseTo(0.6827, 1);
  expect(within(2)).toBeCloseTo(0.9545, 1);
});
