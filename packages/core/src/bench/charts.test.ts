import { baselineOf, controlChart } from './charts.ts';

// NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.4, from memory: data, EWMA and limits.
const DATA = [
  52.0, 47.0, 53.0, 49.3, 50.1, 47.0, 51.0, 50.1, 51.2, 50.5, 49.6, 47.6, 49.9, 51.3, 47.8, 51.2,
  52.6, 52.4, 53.6, 52.1,
];
const EWMA = [
  50.6, 49.52, 50.56, 50.18, 50.16, 49.21, 49.75, 49.85, 50.26, 50.33, 50.11, 49.36, 49.52, 50.05,
  49.38, 49.92, 50.73, 51.23, 51.94, 51.99,
];

describe('the EWMA chart', () => {
  const chart = controlChart(DATA, { center: 50, deviation: 2.0539 }, { lambda: 0.3, width: 3 });

  it('runs as in the worked example', () => {
    chart.points.forEach(({ ewma }, index) => expect(ewma).toBeCloseTo(EWMA[index]!, 2));
    expect(chart.running[0]).toBeCloseTo(47.4115, 3);
    expect(chart.running[1]).toBeCloseTo(52.5884, 3);
    expect(chart.points.every(({ running }) => running === 'in')).toBe(true);
  });

  it('says on which side a single figure and the running mean are out', () => {
    const off = controlChart([50, 60, 57, 57, 40], { center: 50, deviation: 2 });
    expect(off.points.map(({ single }) => single)).toEqual([
      'in',
      'above',
      'above',
      'above',
      'below',
    ]);
    expect(off.points.map(({ running }) => running)).toEqual([
      'in',
      'above',
      'above',
      'above',
      'in',
    ]);
  });
});

describe('the baseline', () => {
  it('is the mean, and the mean moving range over 1.128', () => {
    // By hand: ranges 2, 4, 2; their mean 8/3.
    expect(baselineOf([10, 12, 8, 10])).toEqual({ center: 10, deviation: 8 / 3 / 1.128 });
  });

  it('refuses a single figure', () => expect(() => baselineOf([1])).toThrow(/two figures/));
});
