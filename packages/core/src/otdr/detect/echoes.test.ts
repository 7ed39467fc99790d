import { isEcho } from './echoes.ts';

const mirror = (positionM: number, lossDb = 0.3) => ({
  positionM,
  lossDb,
  sigmaDb: 0.002,
  peakDb: 6,
});

// Common practice, no source: light that goes to and fro between two mirrors comes as from the sum of their distances.
describe('echoes', () => {
  const mirrors = [mirror(1200), mirror(3100)];
  it.each([
    [2400, 'twice one mirror', true],
    [4300, 'two mirrors together', true],
    [6200, 'twice the other', true],
    [5000, 'as far as no two', false],
  ])('a reflection without loss at %d m, %s: %s', (at, _, expected) => {
    const event = mirror(at, 0.001);
    expect(isEcho(event, [...mirrors, event], 10)).toBe(expected);
  });

  it('what loses light is no echo, nor what reflects none', () => {
    const real = mirror(2400, 0.4);
    expect(isEcho(real, [...mirrors, real], 10)).toBe(false);
    const splice = { ...mirror(2400, 0.001), peakDb: null };
    expect(isEcho(splice, [...mirrors, splice], 10)).toBe(false);
  });
});
