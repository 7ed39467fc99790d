import { type EwmaDesign, EWMA_DESIGN, controlChart } from '@cordel/core';
import { seeded } from '../src/random.ts';

/** A figure against a published one: their ratio, which may be a tenth off either way. */
export interface Against {
  name: string;
  measured: number;
  published: number;
  source: string;
}

const BASE = { center: 0, deviation: 1 };
const RUNS = 4000;

/**
 * Mean number of figures until a chart of normal figures says something.
 * @param shift of the mean, in deviations, from the first figure on
 */
function runLength(
  shift: number,
  kind: 'single' | 'running',
  design: EwmaDesign,
  seed: number,
): number {
  const random = seeded(seed);
  let sum = 0;
  for (let run = 0; run < RUNS; run++) {
    // The chart is drawn over longer and longer stretches until it speaks.
    const values: number[] = [];
    for (let at = -1; at < 0;) {
      const from = values.length;
      for (let more = 0; more < Math.max(16, from); more++) values.push(shift + random.normal());
      at = controlChart(values, BASE, design).points.findIndex((point) => point[kind] !== 'in');
      if (at >= 0) sum += at + 1;
    }
  }
  return sum / RUNS;
}

/**
 * Published mean run lengths. EWMA: J. M. Lucas and M. S. Saccucci, Technometrics 32(1), 1990, lambda
 * 0.2 and width 2.962, from memory. Individuals: 1/P of a figure outside three deviations of the
 * normal distribution, as NIST/SEMATECH e-Handbook 6.3.2 gives it, from memory.
 */
export const chartFigures = (): Against[] => [
  {
    name: 'ewma-false-alarms',
    measured: runLength(0, 'running', EWMA_DESIGN, 1),
    published: 500,
    source: 'Lucas and Saccucci 1990',
  },
  {
    name: 'ewma-delay',
    measured: runLength(2, 'running', EWMA_DESIGN, 2),
    published: 3.7,
    source: 'Lucas and Saccucci 1990, shift of 2 sigma',
  },
  {
    name: 'individuals-false-alarms',
    measured: runLength(0, 'single', EWMA_DESIGN, 3),
    published: 370.4,
    source: 'normal distribution, 3 sigma',
  },
  {
    name: 'individuals-delay',
    measured: runLength(2, 'single', EWMA_DESIGN, 4),
    published: 6.3,
    source: 'normal distribution, shift of 2 sigma',
  },
];
