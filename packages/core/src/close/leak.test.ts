import fc from 'fast-check';
import { linearRegression } from 'simple-statistics';
import { gaugeAt, kelvin } from './gas.ts';
import { type GaugeReading, estimateLeak } from './leak.ts';

const AIR = 101_325;
const TASK = { airPa: AIR, stepPa: 20, limit: 100 };
const every = (
  minutes: number,
  count: number,
  of: (minute: number) => Omit<GaugeReading, 'minutes'>,
) =>
  Array.from({ length: count }, (_, index) => {
    const minute = 15 + index * minutes;
    return { minutes: minute, ...of(minute) };
  });

describe('the leak behind a row of readings', () => {
  it('is the slope of a straight line where nothing warms or cools, long after it was pressurized', () => {
    // Against ordinary least squares by another library; the fading warmth has faded.
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 40, maxLength: 40 }),
        (rate, noise) => {
          const readings = every(1, 40, (minute) => ({
            gaugePa: Math.round(34_000 - rate * (minute - 15) + noise[minute - 15]!),
            temperature: 12,
          }));
          const { m } = linearRegression(
            readings.map(({ minutes, gaugePa }): [number, number] => [minutes, gaugePa]),
          );
          const { rate: found, sigma } = estimateLeak({ ...TASK, readings });
          return Math.abs(found + m) < Math.max(2, 0.6 * sigma);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is nothing where the gauge does what the gas law says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 35, noNaN: true }),
        fc.double({ min: -0.15, max: 0.15, noNaN: true }),
        (start, slope) => {
          // So slowly that the air keeps up with its wall within a few minutes.
          const readings = every(1, 30, (minute) => {
            const temperature = start + slope * (minute - 15);
            return { gaugePa: Math.round(gaugeAt(34_000, AIR, start, temperature)), temperature };
          });
          const { verdict, rate, sigma } = estimateLeak({ ...TASK, readings });
          return verdict === 'tight' && Math.abs(rate) < 2.6 * sigma + 5;
        },
      ),
      { numRuns: 60 },
    );
  });

  it('does not hang on the order in which readings come, nor on more than gauge, wall and air', () => {
    const readings = every(1, 20, (minute) => ({
      gaugePa: 34_000 - Math.round(150 * (minute - 15)),
      temperature: 12 + (minute % 3) / 10,
    }));
    const one = estimateLeak({ ...TASK, readings });
    expect(estimateLeak({ ...TASK, readings: [...readings].reverse() })).toEqual(one);
    expect(one.verdict).toBe('leaks');
    expect(one.rate).toBeCloseTo(150, -1);
  });

  it('is told against the limit that the project sets', () => {
    const readings = every(1, 30, (minute) => ({
      gaugePa: 34_000 - Math.round(150 * (minute - 15)),
      temperature: 12,
    }));
    expect(estimateLeak({ ...TASK, limit: 100, readings }).verdict).toBe('leaks');
    expect(estimateLeak({ ...TASK, limit: 300, readings }).verdict).toBe('tight');
  });

  it('is surer the longer it is watched, and says how much longer it takes', () => {
    const of = (count: number) =>
      estimateLeak({
        ...TASK,
        readings: every(0.5, count, (minute) => ({
          gaugePa: 34_000 - Math.round(60 * (minute - 15)),
          temperature: 12,
        })),
      });
    const [short, middle, long] = [of(6), of(16), of(60)];
    expect(middle.sigma).toBeLessThan(short.sigma);
    expect(long.sigma).toBeLessThan(middle.sigma);
    expect(short.verdict).toBe('open');
    expect(short.holdOn).toBeGreaterThan(0);
    expect(long.verdict).toBe('tight');
    expect(long.holdOn).toBeNull();
  });

  it('says what the gauge would show, had nothing leaked', () => {
    const readings = every(1, 30, (minute) => ({
      gaugePa: Math.round(gaugeAt(34_000, AIR, 20, 20 - (minute - 15) * 0.1) - 120 * (minute - 15)),
      temperature: 20 - (minute - 15) * 0.1,
    }));
    const { tightPa } = estimateLeak({ ...TASK, readings });
    expect(tightPa! / 1000).toBeCloseTo(gaugeAt(34, AIR / 1000, 20, 17.1), 0);
  });

  it('takes two readings of one moment, and none at all', () => {
    const twice = [15, 15, 16, 17, 18, 18].map((minutes) => ({
      minutes,
      gaugePa: 34_000,
      temperature: 12,
    }));
    expect(Number.isFinite(estimateLeak({ ...TASK, readings: twice }).rate)).toBe(true);
    expect(estimateLeak({ ...TASK, readings: [] }).tightPa).toBeNull();
  });

  it('is never a figure without end, whatever was read', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.double({ min: 0, max: 200, noNaN: true }),
            gaugePa: fc.integer({ min: -5000, max: 70_000 }),
            temperature: fc.option(fc.double({ min: -50, max: 60, noNaN: true })),
          }),
          { maxLength: 12 },
        ),
        (readings) => {
          const estimate = estimateLeak({ ...TASK, readings });
          return (
            Number.isFinite(estimate.rate) &&
            (estimate.verdict === 'few' || (Number.isFinite(estimate.sigma) && estimate.sigma > 0))
          );
        },
      ),
    );
  });
});

test('kelvin begin at absolute zero', () => {
  // Source: SI brochure, 9th edition: 0 C is 273.15 K.
  expect(kelvin(0)).toBe(273.15);
  expect(kelvin(-273.15)).toBe(0);
});
