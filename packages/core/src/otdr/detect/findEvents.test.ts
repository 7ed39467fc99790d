import { findEvents } from './findEvents.ts';
import { madeTrace } from './made.testing.ts';

describe('joints of a trace by its samples', () => {
  it('a loss and a gain, each where it begins and as large as it is', () => {
    const { joints, end } = findEvents(madeTrace(12_000, { 4000: 0.08, 8000: -0.05 }), 10);
    expect(end).toBeNull();
    expect(joints).toHaveLength(2);
    for (const [index, [place, step]] of [
      [4000, 0.08],
      [8000, -0.05],
    ].entries()) {
      const found = joints[index]!;
      expect(Math.abs(found.at - place!)).toBeLessThan(15);
      expect(Math.abs(found.loss! - step!)).toBeLessThan(4 * found.sigma!);
      expect(found.kind).toBe('splice');
    }
  });

  it('says how sure it is: the bound for free slopes on both sides', () => {
    const [found] = findEvents(madeTrace(8000, { 4000: 0.1 }), 10).joints;
    // s x sqrt(4/N1 + 4/N2) nearly, N1 = N2 = 4 000 and s = 0.005 (Cramer and Rao).
    expect(found!.sigma! / (0.005 * Math.sqrt(8 / 4000))).toBeCloseTo(1, 1);
  });

  it('a reflection with its step, its dead zone left out', () => {
    const { joints } = findEvents(madeTrace(9000, { 5000: 0.2 }, { peaks: { 5000: 8 } }), 10);
    expect(joints).toHaveLength(1);
    expect(joints[0]).toMatchObject({ kind: 'reflection' });
    expect(joints[0]!.loss).toBeCloseTo(0.2, 2);
    expect(joints[0]!.peak).toBeCloseTo(8, 0);
  });

  it('the end, where noise begins, with its own reflection or without', () => {
    const open = findEvents(madeTrace(9000, {}, { floor: 6000 }), 10);
    expect(open.joints).toEqual([expect.objectContaining({ kind: 'end', loss: null })]);
    expect(Math.abs(open.end! - 6000)).toBeLessThan(12);
    const cut = findEvents(madeTrace(9000, {}, { floor: 6010, peaks: { 6000: 9 } }), 10);
    expect(Math.abs(cut.end! - 6000)).toBeLessThan(12);
    expect(cut.joints.at(-1)!.peak).toBeGreaterThan(5);
  });

  it('two that stand apart are two, two within a pulse are one', () => {
    const far = findEvents(madeTrace(9000, { 4000: 0.1, 4400: 0.1 }), 10).joints;
    expect(far).toHaveLength(2);
    const near = findEvents(madeTrace(9000, { 4000: 0.1, 4006: 0.1 }), 10).joints;
    expect(near).toHaveLength(1);
    expect(near[0]!.loss).toBeCloseTo(0.2, 2);
  });

  it('noise only: the fiber ends where it begins', () => {
    expect(findEvents(madeTrace(6000, {}, { floor: 0 }), 10).end).toBe(0);
  });

  it('nothing of a trace too short to have any', () => {
    expect(findEvents(new Float32Array(5).fill(-12), 10).joints).toEqual([]);
    expect(findEvents(new Float32Array(0), 10).joints).toEqual([]);
  });
});
