import fc from 'fast-check';
import { closingEntrySchema } from '../record/closing.ts';
import { closingEntry } from './closure.testing.ts';
import {
  type CutOverJob,
  type LiveCircuit,
  circuitsDown,
  cutOversOf,
  parseFibers,
  parseLive,
  planCutOver,
} from './cutOver.ts';

const job = (fibers: number[], minutes = 5): CutOverJob => ({ fibers, minutes });
const circuit = (name: string, fibers: number[], weight = 1): LiveCircuit => ({
  name,
  fibers,
  weight,
});

/** Weighted minutes down, by the definition: from its first break until its last sleeve is made. */
function cost(order: readonly CutOverJob[], circuits: readonly LiveCircuit[]): number {
  let now = 0;
  const times = order.map((one) => ({ one, from: now, to: (now += one.minutes) }));
  return circuits.reduce((sum, { fibers, weight }) => {
    const own = times.filter(({ one }) => one.fibers.some((fiber) => fibers.includes(fiber)));
    return own.length === 0 ? sum : sum + weight * (own.at(-1)!.to - own[0]!.from);
  }, 0);
}

function permutations<Item>(list: readonly Item[]): Item[][] {
  if (list.length <= 1) return [[...list]];
  return list.flatMap((item, at) =>
    permutations([...list.slice(0, at), ...list.slice(at + 1)]).map((rest) => [item, ...rest]),
  );
}

describe('the order of a cut-over', () => {
  it('keeps a circuit’s two fibers together', () => {
    const jobs = [1, 2, 3, 4].map((fiber) => job([fiber]));
    const circuits = [circuit('clinic', [1, 3]), circuit('dairy', [2, 4])];
    const plan = planCutOver(jobs, circuits);
    expect(plan.circuits.map(({ minutes }) => minutes)).toEqual([10, 10]);
    expect(plan).toMatchObject({ minutes: 20, best: true });
    expect(plan.steps[0]!.down).toEqual(['clinic']);
  });

  it('takes down all circuits of a ribbon at once, and no other', () => {
    const plan = planCutOver(
      [job([1, 2, 3, 4], 8), job([5, 6, 7, 8], 8)],
      [circuit('a', [1]), circuit('b', [2, 6]), circuit('c', [7])],
    );
    expect(Object.fromEntries(plan.circuits.map(({ name, minutes }) => [name, minutes]))).toEqual({
      a: 8,
      b: 16,
      c: 8,
    });
  });

  it('has the least time down of all orders, found by trying each', () => {
    const anyJobs = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 6 });
    fc.assert(
      fc.property(
        anyJobs,
        fc.array(
          fc.tuple(
            fc.uniqueArray(fc.nat(5), { minLength: 1, maxLength: 4 }),
            fc.integer({ min: 1, max: 5 }),
          ),
          {
            minLength: 1,
            maxLength: 4,
          },
        ),
        (minutes, wanted) => {
          const jobs = minutes.map((each, at) => job([at + 1], each));
          const circuits = wanted.map(([at, weight], index) =>
            circuit(
              `c${index}`,
              at.map((one) => (one % jobs.length) + 1),
              weight,
            ),
          );
          const plan = planCutOver(jobs, circuits);
          const least = Math.min(...permutations(jobs).map((order) => cost(order, circuits)));
          const own = plan.steps.map((step) => step.job);
          expect(new Set(own)).toEqual(new Set(jobs));
          expect(cost(own, circuits)).toBe(least);
          const said = plan.circuits.reduce(
            (sum, { name, minutes: down }) =>
              sum + down * circuits.find((one) => one.name === name)!.weight,
            0,
          );
          expect(said).toBe(least);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('does what is dark at any time, and says of a large group that it is not proven', () => {
    const jobs = Array.from({ length: 20 }, (_, at) => job([at + 1]));
    expect(planCutOver(jobs, []).circuits).toEqual([]);
    const chain = Array.from({ length: 19 }, (_, at) => circuit(`c${at}`, [at + 1, at + 2]));
    const plan = planCutOver(jobs, chain);
    expect(plan.best).toBe(false);
    expect(plan.steps).toHaveLength(20);
    expect(plan.circuits.every(({ minutes }) => minutes === 10)).toBe(true);
  });
});

describe('what is typed', () => {
  it('is read, a circuit a line', () => {
    expect(parseLive('clinic: 1-2, 7\n\ndairy east x3: 5')).toEqual({
      ok: true,
      value: [circuit('clinic', [1, 2, 7]), circuit('dairy east', [5], 3)],
    });
  });

  it.each([
    ['', { code: 'noCircuits' }],
    ['clinic 1-2', { code: 'lineUnreadable', line: 1 }],
    [
      'clinic: 1\ndairy: 4-2',
      { code: 'lineFibers', line: 2, problem: { code: 'runsBackwards', text: '4-2' } },
    ],
    ['clinic: 1\nclinic: 2', { code: 'circuitTwice', line: 2, name: 'clinic' }],
    ['clinic: 1, 1', { code: 'lineFibers', problem: { code: 'fiberTwice' } }],
    ['clinic: 0', { code: 'lineFibers', problem: { code: 'runsBackwards', text: '0' } }],
  ])('is refused: %s', (text, error) =>
    expect(parseLive(text)).toMatchObject({ ok: false, error }),
  );

  it('counts ranges', () => {
    expect(parseFibers('1-3, 12')).toEqual({ ok: true, value: [1, 2, 3, 12] });
  });
});

describe('a cut-over that is kept', () => {
  const planned = planCutOver(
    [job([1]), job([2]), job([3], 7)],
    [circuit('clinic', [1, 3]), circuit('dairy', [2], 4)],
  );
  const kept = closingEntry('cut-over', {
    sleeves: planned.steps.map(({ job: one }) => ({
      fibers: [...one.fibers],
      minutes: one.minutes,
    })),
    circuits: [
      { name: 'clinic', fibers: [1, 3], weight: 1 },
      { name: 'dairy', fibers: [2], weight: 4 },
    ],
    start: '2026-05-05T20:00:00.000Z',
  });
  const word = (name: string, state: 'down' | 'up', clock: string) =>
    closingEntry('circuit', {
      cutOverId: kept.id,
      circuit: name,
      state,
      at: `2026-05-05T${clock}.000Z`,
    });

  it('says the times that were planned, in the order that was planned', () => {
    const [{ plan, circuits }] = cutOversOf([kept]) as [ReturnType<typeof cutOversOf>[number]];
    const { best: _best, ...times } = planned;
    expect(plan).toEqual(times);
    expect(circuits.map(({ name, planned: minutes }) => [name, minutes]).sort()).toEqual([
      ['clinic', 12],
      ['dairy', 5],
    ]);
  });

  it('says how long each was down, and which still is', () => {
    const entries = [
      kept,
      word('dairy', 'down', '20:01:00'),
      word('dairy', 'up', '20:08:30'),
      word('clinic', 'down', '20:09:00'),
    ];
    const [{ circuits }] = cutOversOf(entries) as [ReturnType<typeof cutOversOf>[number]];
    expect(circuits.find(({ name }) => name === 'dairy')).toMatchObject({
      downAt: '2026-05-05T20:01:00.000Z',
      upAt: '2026-05-05T20:08:30.000Z',
      minutes: 8,
    });
    expect(circuits.find(({ name }) => name === 'clinic')).toMatchObject({
      upAt: null,
      minutes: null,
    });
    expect(circuitsDown(entries)).toEqual(['clinic']);
    expect(circuitsDown([...entries, word('clinic', 'up', '20:30:00')])).toEqual([]);
  });

  it('adds up the times a circuit was down, and leaves out when it was back between', () => {
    const entries = [
      kept,
      word('dairy', 'down', '20:00:00'),
      word('dairy', 'up', '20:06:00'),
      word('dairy', 'down', '21:00:00'),
      word('dairy', 'up', '21:02:00'),
    ];
    expect(cutOversOf(entries)[0]!.circuits.find(({ name }) => name === 'dairy')).toMatchObject({
      minutes: 8,
      upAt: '2026-05-05T21:02:00.000Z',
    });
  });

  it('takes no word of another cut-over, and none that says up before down', () => {
    const other = {
      ...word('dairy', 'down', '20:00:00'),
      cutOverId: word('x', 'up', '20:00:00').id,
    };
    const entries = [kept, other, word('clinic', 'up', '20:00:00')];
    expect(circuitsDown(entries)).toEqual([]);
    for (const one of cutOversOf(entries)[0]!.circuits)
      expect(one).toMatchObject({ downAt: null, upAt: null, minutes: null });
  });

  it('is refused where it has no sleeve, no circuit, or a fiber that no cable has', () => {
    const ids = {
      id: '019da9e7-4800-7000-8000-0000000000c1',
      closureId: '019da9e7-4800-7000-8000-0000000000c2',
    };
    const reads = (part: object) =>
      closingEntrySchema.safeParse({ ...kept, ...ids, ...part }).success;
    expect(reads({})).toBe(true);
    expect(reads({ sleeves: [] })).toBe(false);
    expect(reads({ circuits: [] })).toBe(false);
    expect(reads({ sleeves: [{ fibers: [0], minutes: 5 }] })).toBe(false);
    expect(reads({ sleeves: [{ fibers: [1], minutes: 0 }] })).toBe(false);
    expect(reads({ start: 'tonight' })).toBe(false);
  });
});
