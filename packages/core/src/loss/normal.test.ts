import { cumulativeStdNormalProbability } from 'simple-statistics';
import { normalBelow } from './normal.ts';

// simple-statistics, a general-purpose library, is the judge; its table has four decimals.
it.each([-3, -1.96, -1, -0.2, 0, 0.5, 1, 1.645, 2.5])('is the normal distribution at %f', (z) =>
  expect(normalBelow(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3),
);

// NIST/SEMATECH e-Handbook 1.3.6.7.1, from memory.
it('has half a per cent above 2.5758', () => expect(1 - normalBelow(2.5758)).toBeCloseTo(0.005, 5));
