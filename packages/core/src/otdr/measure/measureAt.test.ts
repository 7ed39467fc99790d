import { measureAt } from './measureAt.ts';
import { madeTrace } from '../detect/made.testing.ts';

describe('losses at known places', () => {
  it('an event too small to be found has a figure with its uncertainty', () => {
    const levels = madeTrace(8000, { 4000: 0.004 }, { noise: 0.01 });
    const [found] = measureAt(levels, 10, [{ startIndex: 3998, endIndex: 4012 }]).losses;
    expect(Math.abs(found!.lossDb - 0.004)).toBeLessThan(3 * found!.sigmaDb);
    // The bound for free slopes on both sides: s x sqrt(4/N1 + 4/N2) (Cramer and Rao).
    expect(found!.sigmaDb / (0.01 * Math.sqrt(8 / 4000))).toBeCloseTo(1, 1);
  });

  it('the stated uncertainty holds: 68 and 95 of 100 lie within 1 and 2 sigma', () => {
    let [one, two, all] = [0, 0, 0];
    for (let seed = 1; seed <= 150; seed++) {
      const levels = madeTrace(3000, { 1000: 0.05, 2000: -0.03 }, { noise: 0.02, seed: seed * 77 });
      const zones = [1000, 2000].map((at) => ({ startIndex: at - 2, endIndex: at + 12 }));
      measureAt(levels, 10, zones).losses.forEach((found, index) => {
        const off = Math.abs(found!.lossDb - [0.05, -0.03][index]!) / found!.sigmaDb;
        all++;
        if (off < 1) one++;
        if (off < 2) two++;
      });
    }
    // Of 300 losses which share a stretch of fiber two by two, a share of 68 in 100 is told to 6, one of 95 to 3 (two standard deviations).
    expect(Math.abs(one / all - 0.683)).toBeLessThan(0.065);
    expect(Math.abs(two / all - 0.954)).toBeLessThan(0.03);
  });

  it('a reflection in a zone takes its dead zone with it', () => {
    const levels = madeTrace(6000, { 3000: 0.2 }, { peaks: { 3000: 8 } });
    const [found] = measureAt(levels, 10, [{ startIndex: 2998, endIndex: 3002 }]).losses;
    expect(found!.lossDb).toBeCloseTo(0.2, 2);
  });

  it('the total is fiber and events from where the fiber begins to its end', () => {
    const levels = madeTrace(9000, { 2000: 0.1, 4000: 0.2 }, { floor: 6000 });
    const zones = [2000, 4000].map((at) => ({ startIndex: at - 2, endIndex: at + 12 }));
    const { total, slopesDbPerSample: slopes } = measureAt(levels, 10, zones, 0);
    expect(total!.lossDb).toBeCloseTo(0.0001 * 6000 + 0.3, 2);
    for (const slope of slopes) expect(slope).toBeCloseTo(0.0001, 5);
    // From a launch fiber's end on, what lies before does not count.
    expect(measureAt(levels, 10, zones, 2000).total!.lossDb).toBeCloseTo(0.0001 * 4000 + 0.2, 2);
  });

  it('is nothing where a side is too short, and behind the end', () => {
    const levels = madeTrace(9000, {}, { floor: 6000 });
    const { losses } = measureAt(levels, 10, [
      { startIndex: 3000, endIndex: 3012 },
      { startIndex: 3018, endIndex: 3030 },
      { startIndex: 7000, endIndex: 7012 },
    ]);
    expect(losses[0]).toBeNull();
    expect(losses[2]).toBeNull();
  });
});
