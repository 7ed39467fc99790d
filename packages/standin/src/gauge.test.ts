import { type LeakEstimate, estimateLeak, gaugeAt } from '@cordel/core/close';
import { seeded } from './random.ts';
import { CONDITIONS, type GaugeWorld, gaugeWorld, readGauge } from './gauge.ts';

const CALM: GaugeWorld = {
  seed: 1,
  targetPa: 34_000,
  airPa: 101_325,
  leak: 0,
  temperature: 20,
  drift: 0,
  shock: null,
  follows: 3,
  fresh: 0,
  thermometer: 0,
  noisePa: 0,
  stepPa: 1,
};
const half = Array.from({ length: 40 }, (_, index) => 1 + index / 2);
const LIMIT = 100;

/** Reads until it is told, as a technician does. */
function test(world: GaugeWorld, minutes = half): LeakEstimate {
  const all = readGauge(world, minutes);
  for (let count = 4; ; count++) {
    const estimate = estimateLeak({
      readings: all.slice(0, count),
      airPa: world.airPa,
      stepPa: world.stepPa,
      limit: LIMIT,
    });
    if (count === all.length || ['tight', 'leaks', 'rises'].includes(estimate.verdict))
      return estimate;
  }
}

describe('the simulated gauge', () => {
  it('shows on a tight closure what the gas law says once the air has followed', () => {
    const cooled = { ...CALM, shock: { degrees: -10, minute: 0.5 } };
    const [last] = readGauge(cooled, [60]).slice(-1);
    expect(last!.gaugePa).toBeCloseTo(gaugeAt(34_000, 101_325, 20, 10), -1);
  });

  it('falls at the rate that was asked for', () => {
    const [one, two] = readGauge({ ...CALM, leak: 200 }, [0, 1]);
    expect(one!.gaugePa - two!.gaugePa).toBeGreaterThan(195);
    expect(one!.gaugePa - two!.gaugePa).toBeLessThan(201);
  });

  it('is the same for the same seed', () => {
    const world = gaugeWorld('leaks', 5, { ...CALM, limit: LIMIT, stepPa: 70 });
    expect(readGauge(world, half)).toEqual(readGauge(world, half));
  });

  it.each(CONDITIONS)('lets the estimate tell: %s', (condition) => {
    for (let seed = 1; seed <= 20; seed++) {
      const world = gaugeWorld(condition, seed * 100, { ...CALM, limit: LIMIT, stepPa: 70 });
      expect(test(world).verdict).toBe(condition.startsWith('leaks') ? 'leaks' : 'tight');
    }
  });
});

describe('the leak estimate', () => {
  it('does not take cooling for a leak, where a plain reading would', () => {
    const world = { ...CALM, drift: -20, noisePa: 20, thermometer: 0.1, stepPa: 10 };
    const all = readGauge(world, half);
    // The gauge alone falls by more than the limit a minute.
    expect((all[0]!.gaugePa - all.at(-1)!.gaugePa) / 19.5).toBeGreaterThan(1.2 * LIMIT);
    expect(test(world).verdict).toBe('tight');
  });

  it('does not take a leak for cooling, where warming hides it', () => {
    const world = { ...CALM, drift: 26, leak: 200, noisePa: 20, thermometer: 0.1, stepPa: 10 };
    const all = readGauge(world, half);
    expect(Math.abs(all[0]!.gaugePa - all.at(-1)!.gaugePa) / 19.5).toBeLessThan(LIMIT / 2);
    expect(test(world).verdict).toBe('leaks');
  });

  it('waits where fresh, warm air still fades', () => {
    const all = readGauge({ ...CALM, fresh: 4, follows: 6 }, [0.2, 0.6, 1, 1.4, 1.8, 2.2, 2.6]);
    const early = estimateLeak({ readings: all, airPa: 101_325, stepPa: 10, limit: LIMIT });
    expect(early.verdict).toBe('open');
    expect(early.holdOn).toBeGreaterThan(1);
  });

  it('says so when it rises without cause', () => {
    const all = readGauge(CALM, half).map((reading) => ({
      ...reading,
      gaugePa: reading.gaugePa + Math.round(150 * reading.minutes),
    }));
    const estimate = estimateLeak({ readings: all, airPa: 101_325, stepPa: 70, limit: LIMIT });
    expect(estimate.verdict).toBe('rises');
  });

  it('is less sure where the temperature was read once, and where readings jump', () => {
    const all = readGauge({ ...CALM, noisePa: 20 }, half);
    const task = { airPa: 101_325, stepPa: 70, limit: LIMIT };
    const followed = estimateLeak({ ...task, readings: all });
    const once = estimateLeak({
      ...task,
      readings: all.map((reading, at) => (at === 0 ? reading : { ...reading, temperature: null })),
    });
    expect(once.followed).toBe(false);
    expect(once.sigma).toBeGreaterThan(2 * followed.sigma);
    const jumping = estimateLeak({
      ...task,
      readings: all.map((one, at) => ({ ...one, gaugePa: one.gaugePa + (at % 2) * 1500 })),
    });
    expect(jumping.scatter).toBeGreaterThan(3);
    expect(jumping.sigma).toBeGreaterThan(2 * followed.sigma);
  });

  it('says nothing from nothing', () => {
    const task = { airPa: 101_325, stepPa: 70, limit: LIMIT };
    expect(estimateLeak({ ...task, readings: [] }).verdict).toBe('few');
    expect(estimateLeak({ ...task, readings: readGauge(CALM, [1, 1.1, 1.2, 1.3]) }).verdict).toBe(
      'few',
    );
    const blind = readGauge(CALM, half).map((one) => ({ ...one, temperature: null }));
    expect(estimateLeak({ ...task, readings: blind }).verdict).toBe('few');
  });

  it('has an uncertainty that holds the truth as often as it should', () => {
    // Closures drawn from what the estimate takes for usual. One sigma should hold 68 of 100, two 95; the
    // slow air evens out the thermometer’s noise, which the estimate does not count on: it holds some more.
    let [one, two] = [0, 0];
    const runs = 600;
    const random = seeded(11);
    for (let seed = 0; seed < runs; seed++) {
      const leak = (seed % 5) * 60;
      const world = {
        ...CALM,
        seed,
        leak,
        drift: 8 * random.normal(),
        follows: 0.7 * 16 ** random.uniform(),
        fresh: 2.5 * random.normal(),
        thermometer: 0.15,
        noisePa: 28,
        stepPa: 70,
      };
      const readings = readGauge(world, half.slice(0, 20));
      const { rate, sigma } = estimateLeak({ readings, airPa: 101_325, stepPa: 70, limit: LIMIT });
      // In proportion to the pressure, the fall lessens a little on the way.
      const off = Math.abs(rate - leak * (1 - (leak * 5.5) / 34_000)) / sigma;
      one += Number(off < 1);
      two += Number(off < 2);
    }
    expect(one / runs).toBeGreaterThan(0.63);
    expect(one / runs).toBeLessThan(0.88);
    expect(two / runs).toBeGreaterThan(0.93);
    expect(two / runs).toBeLessThan(0.999);
  });
});
