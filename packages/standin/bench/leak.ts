import { type LeakVerdict, estimateLeak } from '@cordel/core/close';
import { readGauge } from '../src/gauge.ts';
import { seeded } from '../src/random.ts';
import type { TraceFigure } from './traces.ts';

/** The project's usual limit, pascals a minute, and a gauge of 0.01 psi. */
const LIMIT = 100;
const STEP = 70;
const TESTS = 500;
/** A reading each half minute; nobody waits longer than half an hour. */
const MINUTES = Array.from({ length: 60 }, (_, index) => 1 + index / 2);
const MIDDLE = Math.floor(TESTS / 2);

/** Reads until it is told, as a technician does; gives the verdict and the minutes it took. */
function tested(seed: number, leak: number): { verdict: LeakVerdict; minutes: number } {
  const random = seeded(seed * 31 + 7);
  const world = {
    seed,
    targetPa: 34_000,
    airPa: 80_000 + 21_000 * random.uniform(),
    leak,
    temperature: -5 + 35 * random.uniform(),
    drift: (random.uniform() - 0.5) * 24,
    // Cold soapy water, or a cloud before the sun.
    shock:
      random.uniform() < 0.3
        ? { degrees: (random.uniform() - 0.5) * 8, minute: 1 + 6 * random.uniform() }
        : null,
    follows: 0.7 * 16 ** random.uniform(),
    fresh: 2.5 * random.normal(),
    thermometer: 0.12,
    noisePa: 0.3 * STEP,
    stepPa: STEP,
  };
  const readings = readGauge(world, MINUTES);
  for (let count = 4; ; count++) {
    const task = { readings: readings.slice(0, count), airPa: world.airPa, stepPa: STEP };
    const { verdict, rate } = estimateLeak({ ...task, limit: LIMIT });
    const minutes = MINUTES[count - 1]!;
    if (verdict !== 'few' && verdict !== 'open') return { verdict, minutes };
    // At the end the likelier of both is taken.
    if (count === readings.length) return { verdict: rate > LIMIT ? 'leaks' : 'tight', minutes };
  }
}

/** Pressure tests with the temperature drifting: tight closures that fail, and leaks that are found. */
export function leakFigures(): TraceFigure[] {
  const run = (leak: number, first: number) =>
    Array.from({ length: TESTS }, (_, index) => tested(first + index, leak));
  const tight = run(0, 1);
  const leaking = run(2 * LIMIT, 9001);
  const failed = tight.filter(({ verdict }) => verdict !== 'tight').length;
  const missed = leaking.filter(({ verdict }) => verdict === 'tight').length;
  const middle = (list: typeof tight) =>
    list.map(({ minutes }) => minutes).sort((a, b) => a - b)[MIDDLE]!;
  return [
    {
      name: 'leak-false',
      ratio: (100 * failed) / TESTS,
      limit: 1,
      note: `tight closures failed, in 100 of ${TESTS}, temperature drifting by up to 12 C an hour; told after ${middle(tight)} min in the middle`,
    },
    {
      name: 'leak-missed',
      ratio: (100 * missed) / TESTS,
      limit: 1,
      note: `leaks of twice the limit not found, in 100 of ${TESTS}: ${((100 * (TESTS - missed)) / TESTS).toFixed(1)} % found; told after ${middle(leaking)} min in the middle`,
    },
  ];
}
