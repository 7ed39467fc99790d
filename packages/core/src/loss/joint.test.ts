import { jointLoss, oneWayExcess } from './joint.ts';

// D. Marcuse, Loss analysis of single-mode fiber splices, Bell System Technical Journal 56(5), 1977;
// the formula from memory, the figures worked out by hand from it.
describe('joint loss by Marcuse', () => {
  it('offset 1 um, mode field 9.2 um: 0.2052 dB', () => {
    expect(jointLoss({ mfdA: 9.2, mfdB: 9.2, offset: 1 })).toBeCloseTo(0.2052, 4);
  });

  it('mode field 9.2 onto 8.6 um: 0.0197 dB, either way', () => {
    expect(jointLoss({ mfdA: 9.2, mfdB: 8.6 })).toBeCloseTo(0.0197, 4);
    expect(jointLoss({ mfdA: 8.6, mfdB: 9.2 })).toBe(jointLoss({ mfdA: 9.2, mfdB: 8.6 }));
  });

  it('tilt 0.5 degree, mode field 10.4 um, 1550 nm, index 1.4682: 0.0792 dB', () => {
    const joint = { mfdA: 10.4, mfdB: 10.4, tilt: 0.5, wavelength: 1.55, index: 1.4682 };
    expect(jointLoss(joint)).toBeCloseTo(0.0792, 4);
  });

  it('a perfect joint loses nothing, and losses of offset and tilt add up', () => {
    expect(jointLoss({ mfdA: 9.2, mfdB: 9.2 })).toBeCloseTo(0, 12);
    const both = jointLoss({ mfdA: 9.2, mfdB: 9.2, offset: 0.6, tilt: 0.4 });
    const offset = jointLoss({ mfdA: 9.2, mfdB: 9.2, offset: 0.6 });
    const tilt = jointLoss({ mfdA: 9.2, mfdB: 9.2, tilt: 0.4 });
    expect(both).toBeCloseTo(offset + tilt, 12);
  });
});

describe('what one direction of an OTDR shows beyond the loss', () => {
  it('8.6 onto 9.2 um: +0.2929 dB, back -0.2929 dB', () => {
    // Backscatter proportional to 1/MFD^2; common practice.
    expect(oneWayExcess(8.6, 9.2)).toBeCloseTo(0.2929, 4);
    expect(oneWayExcess(9.2, 8.6)).toBeCloseTo(-0.2929, 4);
  });

  it('is gone from the mean of both directions', () => {
    const loss = jointLoss({ mfdA: 8.6, mfdB: 9.2, offset: 0.4 });
    const there = loss + oneWayExcess(8.6, 9.2);
    const back = loss + oneWayExcess(9.2, 8.6);
    expect((there + back) / 2).toBeCloseTo(loss, 12);
  });
});
