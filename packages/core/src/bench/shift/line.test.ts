import fc from 'fast-check';
import { type Draw, type Line, LineRunner } from './line.ts';

/** Two machines, each job through both; times fixed. */
function flowShop(jobs: readonly (readonly [number, number])[]): number {
  const line: Line = {
    pools: [
      { name: 'first', count: 1 },
      { name: 'second', count: 1 },
    ],
    stages: [
      { name: 'first', takes: [0], gives: [0], next: 1 },
      { name: 'second', takes: [1], gives: [1], next: -1 },
    ],
    jobs: jobs.map((_, unit) => ({ stage: 0, unit, after: -1, from: 0 })),
  };
  const draw: Draw = {
    time: (job, stage) => jobs[job]![stage]!,
    next: (_job, _stage, next) => next,
  };
  return new LineRunner(line).run(draw).finish;
}

/** S. M. Johnson, Optimal two- and three-stage production schedules with setup times included, 1954. */
function johnson(jobs: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const first = jobs.filter(([a, b]) => a <= b).sort((x, y) => x[0] - y[0]);
  const last = jobs.filter(([a, b]) => a > b).sort((x, y) => y[1] - x[1]);
  return [...first, ...last];
}

/** The makespan in closed form: the largest sum of firsts up to a job and seconds from it. */
const closedForm = (jobs: readonly (readonly [number, number])[]): number =>
  Math.max(
    ...jobs.map(
      (_, at) =>
        jobs.slice(0, at + 1).reduce((sum, [a]) => sum + a, 0) +
        jobs.slice(at).reduce((sum, [, b]) => sum + b, 0),
    ),
  );

function orders<T>(list: readonly T[]): T[][] {
  if (list.length <= 1) return [[...list]];
  return list.flatMap((item, at) =>
    orders([...list.slice(0, at), ...list.slice(at + 1)]).map((rest) => [item, ...rest]),
  );
}

const times = fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }));

describe('the two-machine flow shop', () => {
  it('takes what the closed form says, in any order', () => {
    fc.assert(
      fc.property(fc.array(times, { minLength: 1, maxLength: 30 }), (jobs) =>
        expect(flowShop(jobs)).toBe(closedForm(jobs)),
      ),
    );
  });

  it('is shortest in Johnson’s order, of all orders there are', () => {
    fc.assert(
      fc.property(fc.array(times, { minLength: 2, maxLength: 6 }), (jobs) => {
        const best = Math.min(...orders(jobs).map(flowShop));
        expect(flowShop(johnson(jobs))).toBe(best);
      }),
      { numRuns: 30 },
    );
  });
});

describe('pipelines with a known bottleneck', () => {
  const pipeline = (counts: number[], stages: number[], jobs: number): number => {
    const line: Line = {
      pools: counts.map((count, index) => ({ name: String(index), count })),
      stages: counts.map((_, index) => ({
        name: String(index),
        takes: [index],
        gives: [index],
        next: index + 1 < counts.length ? index + 1 : -1,
      })),
      jobs: Array.from({ length: jobs }, (_, unit) => ({ stage: 0, unit, after: -1, from: 0 })),
    };
    return new LineRunner(line).run({
      time: (_job, stage) => stages[stage]!,
      next: (_j, _s, next) => next,
    }).finish;
  };

  it('n jobs take the whole way once and the slowest stage n - 1 times more', () => {
    // Equal jobs through single servers: sum of times + (n - 1) x the largest, textbook.
    expect(pipeline([1, 1, 1], [10, 35, 20], 100)).toBe(65 + 99 * 35);
    expect(pipeline([1, 1, 1], [50, 35, 20], 100)).toBe(105 + 99 * 50);
  });

  it('two heaters halve the pace of a heater that held all up', () => {
    // Two servers of 40 s keep pace with a stage of 20 s before them.
    expect(pipeline([1, 2], [20, 40], 50)).toBe(50 * 20 + 40);
  });
});

it('refuses jobs that wait for each other', () => {
  const line: Line = {
    pools: [],
    stages: [{ name: 'one', takes: [], gives: [], next: -1 }],
    jobs: [
      { stage: 0, unit: 0, after: 1, from: 0 },
      { stage: 0, unit: 1, after: 0, from: 0 },
    ],
  };
  expect(() => new LineRunner(line).run({ time: () => 1, next: () => -1 })).toThrow(
    /wait for each other/,
  );
});
