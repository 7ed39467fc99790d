import { findEvents } from './findEvents.ts';
import { madeTrace } from './made.testing.ts';

describe('events of a trace by its samples', () => {
  it('a loss and a gain, each where it begins and as large as it is', () => {
    const { events, endIndex: end } = findEvents(
      madeTrace(12_000, { 4000: 0.08, 8000: -0.05 }),
      10,
    );
    expect(end).toBeNull();
    expect(events).toHaveLength(2);
    for (const [index, [place, step]] of [
      [4000, 0.08],
      [8000, -0.05],
    ].entries()) {
      const found = events[index]!;
      expect(Math.abs(found.sampleIndex - place!)).toBeLessThan(15);
      expect(Math.abs(found.lossDb! - step!)).toBeLessThan(4 * found.sigmaDb!);
      expect(found.kind).toBe('splice');
    }
  });

  it('says how sure it is: the bound for free slopes on both sides', () => {
    const [found] = findEvents(madeTrace(8000, { 4000: 0.1 }), 10).events;
    // s x sqrt(4/N1 + 4/N2) nearly, N1 = N2 = 4 000 and s = 0.005 (Cramer and Rao).
    expect(found!.sigmaDb! / (0.005 * Math.sqrt(8 / 4000))).toBeCloseTo(1, 1);
  });

  it('a reflection with its step, its dead zone left out', () => {
    const { events } = findEvents(madeTrace(9000, { 5000: 0.2 }, { peaks: { 5000: 8 } }), 10);
    expect(events).toHaveLength(1);
    expect(events[0]).toMatchObject({ kind: 'reflection' });
    expect(events[0]!.lossDb).toBeCloseTo(0.2, 2);
    expect(events[0]!.peakDb).toBeCloseTo(8, 0);
  });

  it('the end, where noise begins, with its own reflection or without', () => {
    const open = findEvents(madeTrace(9000, {}, { floor: 6000 }), 10);
    expect(open.events).toEqual([expect.objectContaining({ kind: 'end', lossDb: null })]);
    expect(Math.abs(open.endIndex! - 6000)).toBeLessThan(12);
    const cut = findEvents(madeTrace(9000, {}, { floor: 6010, peaks: { 6000: 9 } }), 10);
    expect(Math.abs(cut.endIndex! - 6000)).toBeLessThan(12);
    expect(cut.events.at(-1)!.peakDb).toBeGreaterThan(5);
  });

  it('two that stand apart are two, two within a pulse are one', () => {
    const far = findEvents(madeTrace(9000, { 4000: 0.1, 4400: 0.1 }), 10).events;
    expect(far).toHaveLength(2);
    const near = findEvents(madeTrace(9000, { 4000: 0.1, 4006: 0.1 }), 10).events;
    expect(near).toHaveLength(1);
    expect(near[0]!.lossDb).toBeCloseTo(0.2, 2);
  });

  it('noise only: the fiber ends where it begins', () => {
    expect(findEvents(madeTrace(6000, {}, { floor: 0 }), 10).endIndex).toBe(0);
  });

  it('nothing of a trace too short to have any', () => {
    expect(findEvents(new Float32Array(5).fill(-12), 10).events).toEqual([]);
    expect(findEvents(new Float32Array(0), 10).events).toEqual([]);
  });
});
