import fc from 'fast-check';
import type { TraceEvent } from '../detect/analyse.ts';
import { pairEvents } from './pairEvents.ts';

const joint = (position: number, loss: number, sigma = 0.002): TraceEvent => ({
  position,
  at: position,
  kind: 'splice',
  loss,
  sigma,
  peak: null,
  reach: 1,
  spread: 1,
});
const end = (position: number): TraceEvent => ({
  ...joint(position, 0),
  kind: 'end',
  loss: null,
  sigma: null,
});

describe('joints seen from both ends', () => {
  it('are laid over each other by the length of the fiber; the mean is the true loss', () => {
    // By hand: 3 000 m from A are 7 000 m from B; (0.30 - 0.26) / 2 = 0.02 dB.
    const [pair] = pairEvents(
      [joint(3000, 0.3), end(10_000)],
      [joint(7004, -0.26), end(10_000)],
      10_000,
    );
    expect(pair).toMatchObject({ position: 3000, forward: 0.3, backward: -0.26 });
    expect(pair!.mean).toBeCloseTo(0.02, 12);
    expect(pair!.sigma).toBeCloseTo(Math.hypot(0.002, 0.002) / 2, 12);
  });

  it('are taken once each, the nearest first', () => {
    const pairs = pairEvents([joint(3000, 0.1), joint(3040, 0.2)], [joint(6961, 0.3)], 10_000);
    expect(pairs.map(({ backward }) => backward)).toEqual([0.3, null]);
  });

  it('that only one direction shows are kept, with what is missing', () => {
    const pairs = pairEvents([joint(2000, 0.1)], [joint(5000, 0.2)], 10_000);
    expect(pairs).toEqual([
      { position: 2000, forward: 0.1, backward: null, mean: null, sigma: null },
      { position: 5000, forward: null, backward: 0.2, mean: null, sigma: null },
    ]);
  });

  it('whatever they are: none is lost, none stands twice', () => {
    const list = fc.uniqueArray(fc.integer({ min: 0, max: 100 }), { maxLength: 12 });
    fc.assert(
      fc.property(list, list, (a, b) => {
        const [fromA, fromB] = [a, b].map((places) =>
          places.map((place) => joint(place * 100, place / 100)),
        );
        const pairs = pairEvents(fromA!, fromB!, 10_000);
        expect(pairs.filter(({ forward }) => forward !== null)).toHaveLength(a.length);
        expect(pairs.filter(({ backward }) => backward !== null)).toHaveLength(b.length);
        const places = pairs.map(({ position }) => position);
        expect(places).toEqual([...places].sort((x, y) => x - y));
      }),
    );
  });
});
