import fc from 'fast-check';
import type { TraceEvent } from '../detect/analyse.ts';
import { pairEvents } from './pairEvents.ts';

const event = (position: number, loss: number, sigma = 0.002): TraceEvent => ({
  positionM: position,
  sampleIndex: position,
  kind: 'splice',
  lossDb: loss,
  sigmaDb: sigma,
  peakDb: null,
  isSaturated: false,
  positionSigmaM: 1,
  spreadSamples: 1,
});
const end = (position: number): TraceEvent => ({
  ...event(position, 0),
  kind: 'end',
  lossDb: null,
  sigmaDb: null,
});

describe('events seen from both ends', () => {
  it('are aligned over each other by the length of the fiber; the mean is the true loss', () => {
    // By hand: 3 000 m from A are 7 000 m from B; (0.30 - 0.26) / 2 = 0.02 dB.
    const [pair] = pairEvents(
      [event(3000, 0.3), end(10_000)],
      [event(7004, -0.26), end(10_000)],
      10_000,
    );
    expect(pair).toMatchObject({ positionM: 3000, forwardDb: 0.3, backwardDb: -0.26 });
    expect(pair!.meanDb).toBeCloseTo(0.02, 12);
    expect(pair!.sigmaDb).toBeCloseTo(Math.hypot(0.002, 0.002) / 2, 12);
  });

  it('are taken once each, the nearest first', () => {
    const pairs = pairEvents([event(3000, 0.1), event(3040, 0.2)], [event(6961, 0.3)], 10_000);
    expect(pairs.map(({ backwardDb: backward }) => backward)).toEqual([0.3, null]);
  });

  it('that only one direction shows are kept, with what is missing', () => {
    const pairs = pairEvents([event(2000, 0.1)], [event(5000, 0.2)], 10_000);
    expect(pairs).toEqual([
      { positionM: 2000, forwardDb: 0.1, backwardDb: null, meanDb: null, sigmaDb: null },
      { positionM: 5000, forwardDb: null, backwardDb: 0.2, meanDb: null, sigmaDb: null },
    ]);
  });

  it('whatever they are: none is lost, none stands twice', () => {
    const list = fc.uniqueArray(fc.integer({ min: 0, max: 100 }), { maxLength: 12 });
    fc.assert(
      fc.property(list, list, (a, b) => {
        const [fromA, fromB] = [a, b].map((places) =>
          places.map((place) => event(place * 100, place / 100)),
        );
        const pairs = pairEvents(fromA!, fromB!, 10_000);
        expect(pairs.filter(({ forwardDb: forward }) => forward !== null)).toHaveLength(a.length);
        expect(pairs.filter(({ backwardDb: backward }) => backward !== null)).toHaveLength(
          b.length,
        );
        const places = pairs.map(({ positionM: position }) => position);
        expect(places).toEqual([...places].sort((x, y) => x - y));
      }),
    );
  });
});
