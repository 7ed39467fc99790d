import { pressureAt } from '../measure/air.ts';
import { parseGauge } from '../measure/pressure.ts';
import { gaugeAt } from './gas.ts';

describe('a gauge on a tight closure', () => {
  it('falls from 5 to 4.33 psi when it cools from 20 to 10 C at sea level', () => {
    // Source: ideal gas law, (Pg + Pa) T2 / T1 - Pa, worked by hand with 14.696 psi.
    expect(gaugeAt(5, 14.696, 20, 10)).toBeCloseTo(4.328, 3);
  });

  it('falls less up a mountain, where less air stands behind it', () => {
    // Source: ICAO standard atmosphere: 84.56 kPa at 1 500 m (from memory).
    expect(pressureAt(1500)).toBeCloseTo(84.56, 1);
    const fall = (altitude: number) => 34.5 - gaugeAt(34.5, pressureAt(altitude), 20, 10);
    expect(fall(1500)).toBeLessThan(fall(0));
    // (34.5 + 84.556) x 10 / 293.15
    expect(fall(1500)).toBeCloseTo(4.061, 2);
  });

  it('comes back when it warms again', () => {
    expect(gaugeAt(gaugeAt(30, 101.325, 25, 3), 101.325, 3, 25)).toBeCloseTo(30, 10);
  });

  it('counts in the same unit as it was read', () => {
    const five = parseGauge('5 psi', 'kPa');
    expect(five).toEqual({ ok: true, value: 34_474 });
  });
});
